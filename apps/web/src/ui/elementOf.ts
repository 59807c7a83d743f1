/** What a ref of React Native's holds on the web. */
import type { RefObject } from 'react';
import type { View } from 'react-native';

// React Native's types know of no page; on the web every view is an element of it.
// eslint-disable-next-line no-restricted-syntax -- the two worlds share no type
export const elementOf = <T extends View>({ current }: RefObject<T | null>): HTMLElement | null => current as unknown as HTMLElement | null;
