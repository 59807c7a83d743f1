/** A paper as it is read on the screen: headings, paragraphs, lists and tables in the app's own type. Pictures stay in the papers themselves. */
import type { Token, Tokens } from 'marked';
import { type ReactNode, useEffect, useMemo, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { headingOf, tokensOf } from './papers';

const unescaped = (text: string): string =>
  text
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&#39;/g, "'")
    .replace(/&amp;/g, '&')
    // A line of the paper's file is none of the screen's.
    .replace(/\s+/g, ' ');

/** Bold and plain; a link is its words, since what it leads to is a file of the project. */
function Inline({ tokens }: { tokens: readonly Token[] }): ReactNode {
  return tokens.map((token, i) => {
    if (token.type === 'image') return null;
    if (token.type === 'strong')
      return (
        <Words key={i} bold>
          <Inline tokens={(token as Tokens.Strong).tokens} />
        </Words>
      );
    const { tokens: inner, text = '' } = token as Tokens.Text;
    return inner ? <Inline key={i} tokens={inner} /> : unescaped(text);
  });
}

const hasWords = (tokens: readonly Token[]): boolean => tokens.some((token) => token.type !== 'image' && token.raw.trim() !== '');

function Table({ header, rows }: Pick<Tokens.Table, 'header' | 'rows'>) {
  const { colours } = useTheme();
  const named = header.some(({ text }) => text.trim() !== '');
  return (
    <View role="list">
      {rows
        .filter((row) => row.some(({ tokens }) => hasWords(tokens)))
        .map((row, i) => (
          <View key={i} role="listitem" style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}>
            {row.map(({ tokens }, k) =>
              hasWords(tokens) ? (
                <Words key={k} size={k === 0 ? 'text' : 'label'} tone={k === 0 ? undefined : 'muted'}>
                  {k > 1 && named ? `${header[k].text}: ` : ''}
                  <Inline tokens={tokens} />
                </Words>
              ) : null,
            )}
          </View>
        ))}
    </View>
  );
}

function List({ items }: Pick<Tokens.List, 'items'>) {
  return (
    <View role="list" style={{ gap: space.small }}>
      {items.map((item, i) => (
        <View key={i} role="listitem" style={{ flexDirection: 'row', gap: space.small }}>
          <Words aria-hidden>–</Words>
          <View style={{ flex: 1 }}>
            <Blocks tokens={item.tokens} />
          </View>
        </View>
      ))}
    </View>
  );
}

function Blocks({ tokens, at }: { tokens: readonly Token[]; at?: string }): ReactNode {
  return tokens.map((token, i) => {
    switch (token.type) {
      case 'heading':
        return <Heading key={i} {...(token as Tokens.Heading)} at={at} />;
      case 'list':
        return <List key={i} {...(token as Tokens.List)} />;
      case 'table':
        return <Table key={i} {...(token as Tokens.Table)} />;
      case 'code':
        return (
          <ScrollView horizontal key={i}>
            <Words size="label">{(token as Tokens.Code).text}</Words>
          </ScrollView>
        );
      case 'paragraph':
      case 'text': {
        const inner = (token as Tokens.Paragraph).tokens ?? [];
        return hasWords(inner) ? (
          <Words key={i}>
            <Inline tokens={inner} />
          </Words>
        ) : null;
      }
      default:
        return null;
    }
  });
}

function Heading({ text, depth, at }: { text: string; depth: number; at?: string }) {
  const line = useRef<View & HTMLElement>(null);
  const said = headingOf(text);
  const isAsked = at === said;
  useEffect(() => {
    if (isAsked) line.current?.scrollIntoView();
  }, [isAsked]);
  // The title stands over the page.
  if (depth === 1) return null;
  return (
    <View ref={line} style={{ paddingTop: space.large }}>
      <Words size={depth === 2 ? 'heading' : 'text'} bold role="heading" aria-level={depth}>
        {said}
      </Words>
    </View>
  );
}

/** at: the heading that it opens at. */
export function DocText({ source, at }: { source: string; at?: string }) {
  const tokens = useMemo(() => tokensOf(source), [source]);
  return (
    <View style={{ gap: space.small }}>
      <Blocks tokens={tokens} at={at} />
    </View>
  );
}
