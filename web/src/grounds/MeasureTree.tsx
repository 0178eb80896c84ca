import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptTree } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import {
  ANGLE_INSTRUMENTS,
  asOfProfile,
  growthFactor,
  LENGTH_INSTRUMENTS,
  type AngleInstrument,
  type LengthInstrument,
} from '@hurrow/core/field';
import { call, messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { useMayChange } from '../app/mayChange.ts';
import { useKept } from '../drafts/useKept.ts';
import {
  bodyOfResult,
  FIELDS,
  METHOD_TITLES,
  METHODS,
  pressed,
  resultOf,
  unitOf,
  usualAngle,
  withShot,
  type Method,
  type ReadField,
} from './measuring.ts';
import { useField } from './useField.ts';
import { useFieldDay } from './useFieldDay.ts';
import type { News } from './useInstruments.ts';
import { withinSentence } from '../language/inWords.ts';
import styles from './field.module.css';

interface MeasureTreeProps {
  courseId: string;
  groundsId: string;
  tree: KeptTree;
  news: News;
}

interface Begun {
  method: Method;
  texts: Record<string, string>;
  length: LengthInstrument;
  angle: AngleInstrument;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '−', ';', '+', '⌫'];
/** What stands on keys that say more than themselves. */
const ON_KEYS: Record<string, string> = { ';': t`; again`, '+': t`+ stem` };
const KEY_NAMES: Record<string, string> = {
  ';': t`and once more`,
  '+': t`and another stem`,
  '⌫': t`Rub out`,
  '−': t`minus`,
};

/** A tree is measured: what is read, with big keys or by the range-finder, and at once what comes of it with its working. */
export function MeasureTree({ courseId, groundsId, tree, news }: MeasureTreeProps) {
  const mayChange = useMayChange();
  const measuring = useMeasuring({ courseId, groundsId, tree });
  const { units, method, length, angle, texts, fields, current, result, isOfProfile } = measuring;
  return (
    <section className={styles['measure']} aria-label={t`Measure ${tree.tag}`}>
      <h2>
        <Trans>Measure it</Trans>
      </h2>
      <label>
        <Trans>What do you measure?</Trans>
        <select value={method} onChange={(event) => measuring.change(event.target.value as Method)}>
          {METHODS.map((each) => (
            <option key={each} value={each}>
              {METHOD_TITLES[each]}
            </option>
          ))}
        </select>
      </label>
      <Instruments method={method} length={length} angle={angle} set={measuring.set} />
      {method === 'sine' && <Finder news={news} onShot={measuring.shoot} />}
      {fields.map((field) => (
        <Field
          key={field.name}
          field={field}
          unit={unitOf(field, units)}
          text={texts[field.name] ?? ''}
          current={field.name === current}
          onFocus={() => measuring.setActive(field.name)}
          onText={(text) => measuring.write(field.name, text)}
        />
      ))}
      <Keypad onPress={measuring.press} />
      <Came result={result} said={measuring.said} />
      {mayChange && tree.taxonId !== null && isOfProfile && (
        <label className={styles['tickbox']}>
          <input
            type="checkbox"
            checked={measuring.toProfile}
            onChange={(event) => measuring.setToProfile(event.target.checked)}
          />{' '}
          <Trans>and into the profile of its species, as an own measurement</Trans>
        </label>
      )}
      <button type="button" className={styles['keep']} disabled={!result.ok} onClick={measuring.keep}>
        <Trans>Keep it</Trans>
      </button>
    </section>
  );
}

/** What is being read off a tree, what comes of it, and how it is kept. */
function useMeasuring({ courseId, groundsId, tree }: Omit<MeasureTreeProps, 'news'>) {
  const units = useQuery(courseQuery(courseId)).data?.units ?? 'metric';
  const { profileOf } = useLibrary();
  const day = useFieldDay();
  const { note } = useField();
  const genus = tree.taxonId === null ? '' : (profileOf(tree.taxonId)?.taxon.genus ?? '');
  const kept = useKept<Begun>(
    `measuring/${tree.id}`,
    `Measuring ${tree.tag}`,
    { method: 'girth', texts: {}, length: 'tape', angle: 'clinometer' },
    ({ texts }) => Object.values(texts).some(Boolean),
  );
  const { method, texts, length, angle } = kept.value;
  const [active, setActive] = useState<string>();
  const [toProfile, setToProfile] = useState(false);
  const [said, setSaid] = useState('');
  const set = (part: Partial<Begun>) => kept.set((before) => ({ ...before, ...part }));
  const write = (name: string, text: string) =>
    kept.set((before) => ({ ...before, texts: { ...before.texts, [name]: text } }));
  const filled =
    method === 'growth' && !texts['factor'] ? { ...texts, factor: String(growthFactor(genus)) } : texts;
  const result = resultOf(method, filled, { units, length, angle });
  const isOfProfile = result.ok && asOfProfile(result.value.kind, result.value.value) !== undefined;
  const fields = FIELDS[method];
  const current = active && fields.some(({ name }) => name === active) ? active : fields[0]!.name;
  const press = (key: string) => write(current, pressed(kept.latest().texts[current] ?? '', key));
  const keep = () => {
    if (!result.ok) return;
    const body = bodyOfResult(tree.id, day, method, result.value, toProfile && isOfProfile);
    note({ what: 'measurement', groundsId, id: newId(), body });
    setSaid(t`Kept: ${withinSentence(METHOD_TITLES[method])}, ${result.value.words}.`);
    kept.replace({ ...kept.latest(), texts: {} });
  };
  const change = (next: Method) => {
    set({ method: next, texts: {}, angle: usualAngle(next) });
    setSaid('');
  };
  return {
    units,
    method,
    length,
    angle,
    texts: filled,
    fields,
    current,
    result,
    isOfProfile,
    said,
    toProfile,
    setToProfile,
    setActive,
    set,
    write,
    press,
    keep,
    change,
    shoot: (shot: Parameters<typeof withShot>[1]) =>
      kept.set((before) => ({ ...before, texts: withShot(before.texts, shot, units) })),
  };
}

const Keypad = ({ onPress }: { onPress(key: string): void }) => (
  <div
    className={styles['keypad']}
    role="group"
    aria-label={t({ message: 'Keys', context: 'of a keyboard' })}
  >
    {KEYS.map((key) => (
      <button key={key} type="button" aria-label={KEY_NAMES[key] ?? key} onClick={() => onPress(key)}>
        {ON_KEYS[key] ?? key}
      </button>
    ))}
  </div>
);

/** What comes of what was read, with its working; before that, what is wanting, or what was kept last. */
const Came = ({ result, said }: { result: ReturnType<typeof resultOf>; said: string }) => (
  <div className={styles['result']} role="status">
    {result.ok ? (
      <>
        <strong>{result.value.words}</strong>
        {result.value.working.map((line) => (
          <p key={line}>{line}</p>
        ))}
        <small>
          <Trans>The bar holds the truth in 95 of 100 measurings, as far as the instrument goes.</Trans>
        </small>
      </>
    ) : (
      said || result.problem
    )}
  </div>
);

interface FieldProps {
  field: ReadField;
  unit: string;
  text: string;
  current: boolean;
  onFocus(): void;
  onText(text: string): void;
}

const Field = ({ field: { label, hint, optional }, unit, text, current, onFocus, onText }: FieldProps) => (
  <label className={styles['reading']} data-current={current}>
    {label}
    {optional && t` (if so)`}
    {hint && <small> {hint}</small>}
    <span>
      {/* The big keys below write here; a keyboard of the phone would hide the working. */}
      <input
        inputMode="none"
        autoComplete="off"
        value={text}
        onFocus={onFocus}
        onChange={(event) => onText(event.target.value)}
      />
      {unit}
    </span>
  </label>
);

const BY_ANGLE: Method[] = ['tangent', 'sine'];
const BY_LENGTH: Method[] = ['tangent', 'stick', 'widths'];

function Instruments({
  method,
  length,
  angle,
  set,
}: Pick<Begun, 'method' | 'length' | 'angle'> & { set(part: Partial<Begun>): void }) {
  return (
    <div className={styles['instruments']}>
      {BY_LENGTH.includes(method) && (
        <label>
          <Trans>Distance by</Trans>
          <select
            value={length}
            onChange={(event) => set({ length: event.target.value as LengthInstrument })}
          >
            {LENGTH_INSTRUMENTS.filter(({ id }) => id !== 'girthTape' && id !== 'rule').map(
              ({ id, title }) => (
                <option key={id} value={id}>
                  {title}
                </option>
              ),
            )}
          </select>
        </label>
      )}
      {BY_ANGLE.includes(method) && (
        <label>
          <Trans>Angle by</Trans>
          <select value={angle} onChange={(event) => set({ angle: event.target.value as AngleInstrument })}>
            {ANGLE_INSTRUMENTS.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

/** The range-finder: how its line stands, and each new shot handed on once. */
function Finder({
  news,
  onShot,
}: {
  news: News;
  onShot(shot: NonNullable<News['rangeFinder']>['shot'] & object): void;
}) {
  const finder = news.rangeFinder;
  const [problem, setProblem] = useState('');
  const taken = useRef<number>(undefined);
  const hand = useEffectEvent(onShot);
  const { count, shot } = finder ?? {};
  useEffect(() => {
    if (count === undefined) return;
    // What was shot before the page was opened belongs to another tree.
    if (taken.current !== undefined && count > taken.current && shot) hand(shot);
    taken.current = count;
  }, [count, shot]);
  const shoot = () =>
    void call('POST /api/instruments/shot').then(
      () => setProblem(''),
      (error: unknown) => setProblem(messageOf(error)),
    );
  const line = finder?.line ?? 'none';
  return (
    <div className={styles['finder']}>
      <button type="button" disabled={line !== 'speaking'} onClick={shoot}>
        <Trans>Shoot: the top, then the foot</Trans>
      </button>
      <small role="status">
        {problem ||
          finder?.trouble ||
          (line === 'none'
            ? t`No range-finder is set up; type what you read.`
            : line === 'speaking'
              ? t`The range-finder is heard. Its own trigger does as well.`
              : t`The range-finder is being reached…`)}
      </small>
    </div>
  );
}
