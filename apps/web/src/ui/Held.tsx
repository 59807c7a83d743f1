/** Says of a form that was saved while the server is silent what becomes of it. */
import { Notice } from './Notice';

export const Held = () => (
  <Notice tone="plain" testID="held">
    The server does not answer. This is kept here and sent when it does; you can go on, or leave the page.
  </Notice>
);
