import { Button } from 'antd';
import { CAUTION_KINDS, type Caution, type CautionKind } from '@hurrow/core/taxon';
import styles from './species.module.css';

/** What is usual for each kind; the instructor says what holds here. */
const USUAL: Record<CautionKind, { part: string; effect: string; care: string }> = {
  'skin contact': {
    part: 'leaves and sap',
    effect: 'Irritates the skin of some people.',
    care: 'Gloves when cutting, wash hands afterwards; local rules decide.',
  },
  thorns: {
    part: 'twigs',
    effect: 'Thorns pierce gloves and eyes.',
    care: 'Gloves and eye protection; bag cut twigs. Local rules decide.',
  },
  'poisonous part': {
    part: 'seeds and leaves',
    effect: 'Poisonous when swallowed.',
    care: 'Nobody tastes anything; wash hands. For any accident call the poison line or a physician.',
  },
  allergen: {
    part: 'pollen',
    effect: 'Pollen or hairs set off allergies.',
    care: 'Ask before handling; keep a distance. Physicians decide.',
  },
  'drop hazard': {
    part: 'cones and limbs',
    effect: 'Heavy cones or limbs fall without warning.',
    care: 'Do not stand below; licensed people judge the tree.',
  },
  protected: {
    part: 'the whole tree',
    effect: 'Protected by law.',
    care: 'Photograph it and do not cut; the land manager and the law decide.',
  },
  'regulated pest host': {
    part: 'branches and wood',
    effect: 'May carry a regulated pest.',
    care: 'Do not move branches between districts; local rules and the land manager decide.',
  },
  invasive: {
    part: 'seeds and suckers',
    effect: 'Spreads from plantings into wild ground.',
    care: 'Do not carry seeds, roots or cut pieces away; local rules and the land manager decide.',
  },
  livestock: {
    part: 'leaves and cut branches',
    effect: 'Harms grazing animals that eat it.',
    care: 'Leave no cuttings where animals graze; for any accident call a veterinarian. The owner of the land decides.',
  },
  roadside: {
    part: 'where it stands',
    effect: 'Stands where cars pass.',
    care: 'Stay off the road, wear high visibility; the road authority decides.',
  },
  "water's edge": {
    part: 'where it stands',
    effect: 'Stands on banks that slump.',
    care: 'Keep students back from the edge; the land manager decides.',
  },
};

/** Cautions of a taxon: what can hurt, the usual care, and that others decide locally. */
export function CautionFields({
  cautions,
  onChange,
}: {
  cautions: readonly Caution[];
  onChange(cautions: Caution[]): void;
}) {
  const set = (i: number, change: Partial<Caution>) =>
    onChange(cautions.map((caution, k) => (k === i ? { ...caution, ...change } : caution)));
  return (
    <fieldset>
      <legend>Cautions</legend>
      <p className="quiet">
        They stand in the profile, on its prints, and follow the species into every list of what is cut or
        handled. End with who decides: local rules, the land manager, licensed people.
      </p>
      {cautions.map((caution, i) => (
        <div className={styles['caution-line']} key={i}>
          <select
            aria-label={`Kind of caution ${i + 1}`}
            value={caution.kind}
            onChange={(event) => {
              const kind = event.target.value as CautionKind;
              // What still says the usual of the kind before follows the kind; what was written stays.
              const usual = USUAL[caution.kind];
              const follow = (['part', 'effect', 'care'] as const).filter(
                (part) => !caution[part] || caution[part] === usual[part],
              );
              set(i, { kind, ...Object.fromEntries(follow.map((part) => [part, USUAL[kind][part]])) });
            }}
          >
            {CAUTION_KINDS.map((kind) => (
              <option key={kind}>{kind}</option>
            ))}
          </select>
          {(['part', 'effect', 'care'] as const).map((part) => (
            <input
              key={part}
              aria-label={`${part === 'part' ? 'Part' : part === 'effect' ? 'What it does' : 'Usual care'}, caution ${i + 1}`}
              placeholder={
                part === 'part' ? 'which part' : part === 'effect' ? 'what it does' : 'the usual care'
              }
              value={caution[part]}
              onChange={(event) => set(i, { [part]: event.target.value })}
            />
          ))}
          <button
            type="button"
            aria-label={`Remove caution ${i + 1}`}
            onClick={() => onChange(cautions.filter((_, k) => k !== i))}
          >
            ×
          </button>
        </div>
      ))}
      <Button size="small" onClick={() => onChange([...cautions, { kind: 'thorns', ...USUAL.thorns }])}>
        Add a caution
      </Button>
    </fieldset>
  );
}
