import { create } from 'zustand';
import { persist } from 'zustand/middleware';

type Theme = 'light' | 'dark';

function systemNight(): MediaQueryList {
  return matchMedia('(prefers-color-scheme: dark)');
}

/** null: as the system says. */
const useChoice = create<{ choice: Theme | null }>()(
  persist(() => ({ choice: null as Theme | null }), { name: 'bradyon-theme' }),
);

function current(): Theme {
  return useChoice.getState().choice ?? (systemNight().matches ? 'dark' : 'light');
}

function show(): void {
  document.documentElement.dataset['bsTheme'] = current();
}

/** Shows the chosen theme, or the system's, and keeps following it. */
export function followTheme(): void {
  show();
  systemNight().addEventListener('change', show);
  useChoice.subscribe(show);
}

/** The theme that shows, and the switch to the other one. */
export function useTheme(): { isNight: boolean; toggle: () => void } {
  const choice = useChoice((state) => state.choice);
  const isNight = (choice ?? current()) === 'dark';
  return {
    isNight,
    toggle: () => {
      useChoice.setState({ choice: isNight ? 'light' : 'dark' });
    },
  };
}
