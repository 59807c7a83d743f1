/** The gestures of the pages that are read later: at hand for those before them from then on. */
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { gesturesRead } from './Dragged';

gesturesRead.set({ Gesture, GestureDetector });
