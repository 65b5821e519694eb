import { keepText, keptText } from './storage';

const key = 'bright-kettle.theme';
export type Theme = 'enamel-day' | 'enamel-night';

function first(): Theme {
  const kept = keptText(key);
  if (kept === 'enamel-day' || kept === 'enamel-night') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'enamel-night' : 'enamel-day';
}

/** Day or night kitchen; follows the system until somebody chooses. */
class ThemeChoice {
  current = $state<Theme>(first());

  toggle() {
    this.current = this.current === 'enamel-day' ? 'enamel-night' : 'enamel-day';
    keepText(key, this.current);
  }
}

export const theme = new ThemeChoice();
