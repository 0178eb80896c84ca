import { t } from '@lingui/core/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { FROM_FIVE_PIXELS, heardOfDragging } from '../app/dragged.ts';
import { keptQuestion } from './asking.ts';
import { useLooked } from './LookedOver.tsx';
import { idsOf, viewFor, type Planned } from './planned.ts';
import { candidateOf } from './proposed.ts';
import { StationLine } from './StationLine.tsx';
import type { usePlan } from './usePlan.ts';
import type { useProposal } from './useProposal.ts';
import styles from './quizzes.module.css';

interface PlanStationsProps {
  plan: ReturnType<typeof usePlan>;
  proposal: ReturnType<typeof useProposal>;
  fixed: boolean;
  list: readonly ProfiledTaxon[];
  library: LibraryAnswer;
  course: WholeCourse;
}

/** The stations of a plan in their order, which is changed by dragging or by arrows. */
export function PlanStations({ plan, proposal, fixed, list, library, course }: PlanStationsProps) {
  const { judged, near, pieces } = useLooked();
  const sensors = useSensors(useSensor(PointerSensor, FROM_FIVE_PIXELS));
  const ids = idsOf(plan.stations);
  const remove = (station: Planned) => {
    const id = candidateOf(station);
    if (id && proposal.proposed) proposal.ban(id);
    plan.setStations(plan.stations.filter((each) => each !== station));
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={heardOfDragging(
        t`The buttons “earlier” and “later” of a station move it by a place.`,
        (id) => t`Station ${ids.indexOf(String(id)) + 1}`,
        (id) => t`place ${ids.indexOf(String(id)) + 1}`,
      )}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
        if (from >= 0 && to >= 0 && from !== to) plan.move(from, to - from);
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className={styles['stations']}>
          {plan.stations.map((station, i) => (
            <StationLine
              key={ids[i]}
              id={ids[i]!}
              station={station}
              position={i + 1}
              open={i === plan.open}
              fixed={fixed}
              last={i === plan.stations.length - 1}
              list={list}
              library={library}
              course={course}
              day={plan.day}
              onOpen={() => plan.setOpen(i)}
              onMedium={(medium) =>
                plan.change(i, {
                  medium,
                  view: viewFor(medium, plan.day),
                  asks: [],
                  prompt: null,
                  question: keptQuestion(station.question),
                })
              }
              onMove={(by) => plan.move(i, by)}
              onRemove={() => remove(station)}
              judged={judged[i]}
              piece={(!fixed && pieces?.warnings.get(i)) || []}
              near={near.flatMap(([a, b]) => (a === i ? b : b === i ? a : []))}
              pinned={proposal.proposed && pinOf(station, proposal.pins)}
              onPin={() => proposal.pin(candidateOf(station)!)}
              onRepair={(part) => plan.change(i, part)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** Whether a station stays when a quiz is proposed again; undefined where it is none that could be proposed. */
const pinOf = (station: Planned, pins: readonly string[]): boolean | undefined => {
  const id = candidateOf(station);
  return id === undefined ? undefined : pins.includes(id);
};
