/** Says in words how a schedule differs from what lies there now; stands on every page that shows or uses one. */
import type { ReactNode } from 'react';
import { Notice } from '@/ui/Notice';
import { OUTDATED_NOTICE } from './words';

export interface OutdatedNoticeProps {
  differences: readonly string[];
  actions?: ReactNode;
}

export const outdatedWords = (differences: readonly string[]): string => OUTDATED_NOTICE.scheduleOutDate(differences.join(' '));

export function OutdatedNotice({ differences, actions }: OutdatedNoticeProps) {
  if (differences.length === 0) return null;
  return (
    <Notice tone="warn" testID="outdated" actions={actions}>
      {outdatedWords(differences)}
    </Notice>
  );
}
