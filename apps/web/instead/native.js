/** Of React Native what the router uses: it asks for all of it at once. */
export { default as ActivityIndicator } from 'react-native-web/dist/exports/ActivityIndicator';
export { default as I18nManager } from 'react-native-web/dist/exports/I18nManager';
export { default as Image } from 'react-native-web/dist/exports/Image';
export { default as Linking } from 'react-native-web/dist/exports/Linking';
export { default as Platform } from 'react-native-web/dist/exports/Platform';
export { default as Pressable } from 'react-native-web/dist/exports/Pressable';
export { default as ScrollView } from 'react-native-web/dist/exports/ScrollView';
export { default as StatusBar } from 'react-native-web/dist/exports/StatusBar';
export { default as StyleSheet } from 'react-native-web/dist/exports/StyleSheet';
export { default as Text } from 'react-native-web/dist/exports/Text';
export { default as TextInput } from 'react-native-web/dist/exports/TextInput';
export { default as View } from 'react-native-web/dist/exports/View';
export { default as unstable_createElement } from 'react-native-web/dist/exports/createElement';
export { default as useColorScheme } from 'react-native-web/dist/exports/useColorScheme';
