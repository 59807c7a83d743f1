/** What a bead, a handle or a grip is to keys and to a screen reader. */
import type { ViewProps } from 'react-native';

export interface SliderWords {
  name: string;
  value: number;
  least: number;
  most: number;
  /** The value as it is said. */
  spoken: string;
  along?: 'up' | 'right';
}

export const sliderProps = ({ name, value, least, most, spoken, along = 'right' }: SliderWords): ViewProps =>
  ({
    role: 'slider',
    tabIndex: 0,
    'aria-orientation': along === 'up' ? 'vertical' : 'horizontal',
    'aria-label': name,
    'aria-valuenow': value,
    'aria-valuemin': least,
    'aria-valuemax': most,
    'aria-valuetext': spoken,
  }) as ViewProps;
