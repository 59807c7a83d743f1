/** In place of what the router brings along for phones' own tabs and stacks and for whoever develops, and what no page here shows. */
import { createContext } from 'react';

const Nothing = () => null;
const Through = ({ children }) => children;

/** A context of no height: there is no bar of tabs. */
export const BottomTabBarHeightContext = createContext(undefined);
export const createNativeStackNavigator = () => ({ Navigator: Nothing, Screen: Nothing, Group: Nothing });
export const isNativeTabTrigger = () => false;
export { Nothing as HrefPreview, Nothing as Sitemap, Nothing as Toast, Through as ToastWrapper, Nothing as default };
