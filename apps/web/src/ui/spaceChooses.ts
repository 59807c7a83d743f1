/** The space bar on a radio button or a check box: the browser layer of React Native gives it to buttons alone. */
interface KeyPress {
  key: string;
  preventDefault(): void;
}

export const spaceChooses = (onPress: () => void): object => ({
  onKeyDown(event: KeyPress) {
    if (event.key !== ' ') return;
    event.preventDefault();
    onPress();
  },
});
