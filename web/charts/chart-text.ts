import { usePreferences } from '../stores/preferences';

/** Colours and type of the theme, for charts, which know nothing of CSS; follows the look. */
export function useChartLook() {
  const preferences = usePreferences();
  const colour = (name: string) => (
    preferences.look,
    getComputedStyle(document.documentElement).getPropertyValue(name).trim()
  );
  const text = () => ({ color: colour('--muted'), fontFamily: 'Barlow Semi Condensed', fontSize: 14 });
  const axis = (name: string) => ({
    type: 'value' as const,
    name,
    nameLocation: 'middle' as const,
    nameTextStyle: text(),
    axisLabel: text(),
    axisLine: { lineStyle: { color: colour('--line') } },
    splitLine: { lineStyle: { color: colour('--line'), opacity: 0.45 } },
  });
  return { colour, text, axis };
}
