import type { ConfusionData } from '@hurrow/contract/confusions';
import type { NamedAnswer } from '@hurrow/core/confusion';
import { viewKey, type View } from '@hurrow/core/view';

export interface StationView {
  key: string;
  view: View;
  stations: ConfusionData['stations'];
  given: number;
  mixed: number;
}

/** One entry for each distinct view of the pair's stations, the one that most answers were given in first. */
export function viewsOf(
  data: ConfusionData | undefined,
  answers: readonly NamedAnswer[],
  aId: string,
  bId: string,
): StationView[] {
  const views = new Map<string, StationView>();
  for (const station of data?.stations ?? []) {
    if (station.voided || station.leftOut || (station.truth !== aId && station.truth !== bId)) continue;
    const key = viewKey(station.view);
    const held = views.get(key) ?? { key, view: station.view, stations: [], given: 0, mixed: 0 };
    held.stations.push(station);
    held.given += answers.filter((answer) => answer.stationId === station.id).length;
    const other = station.truth === aId ? bId : aId;
    held.mixed += answers.filter(
      (answer) => answer.stationId === station.id && answer.named === other,
    ).length;
    views.set(key, held);
  }
  return [...views.values()].sort((x, y) => y.given - x.given || y.mixed - x.mixed);
}
