import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { CAUTION_KINDS, type Caution, type CautionKind } from '@hurrow/core/taxon';
import styles from './species.module.css';
import { inTongue } from '../language/inTongue.ts';

/** What is usual for each kind; the instructor says what holds here. */
const USUAL: Record<CautionKind, { part: string; effect: string; care: string }> = {
  'skin contact': {
    part: t`leaves and sap`,
    effect: t`Irritates the skin of some people.`,
    care: t`Gloves when cutting, wash hands afterwards; local rules decide.`,
  },
  thorns: {
    part: t`twigs`,
    effect: t`Thorns pierce gloves and eyes.`,
    care: t`Gloves and eye protection; bag cut twigs. Local rules decide.`,
  },
  'poisonous part': {
    part: t`seeds and leaves`,
    effect: t`Poisonous when swallowed.`,
    care: t`Nobody tastes anything; wash hands. For any accident call the poison line or a physician.`,
  },
  allergen: {
    part: t`pollen`,
    effect: t`Pollen or hairs set off allergies.`,
    care: t`Ask before handling; keep a distance. Physicians decide.`,
  },
  'drop hazard': {
    part: t`cones and limbs`,
    effect: t`Heavy cones or limbs fall without warning.`,
    care: t`Do not stand below; licensed people judge the tree.`,
  },
  protected: {
    part: t`the whole tree`,
    effect: t`Protected by law.`,
    care: t`Photograph it and do not cut; the land manager and the law decide.`,
  },
  'regulated pest host': {
    part: t`branches and wood`,
    effect: t`May carry a regulated pest.`,
    care: t`Do not move branches between districts; local rules and the land manager decide.`,
  },
  invasive: {
    part: t`seeds and suckers`,
    effect: t`Spreads from plantings into wild ground.`,
    care: t`Do not carry seeds, roots or cut pieces away; local rules and the land manager decide.`,
  },
  livestock: {
    part: t`leaves and cut branches`,
    effect: t`Harms grazing animals that eat it.`,
    care: t`Leave no cuttings where animals graze; for any accident call a veterinarian. The owner of the land decides.`,
  },
  roadside: {
    part: t`where it stands`,
    effect: t`Stands where cars pass.`,
    care: t`Stay off the road, wear high visibility; the road authority decides.`,
  },
  "water's edge": {
    part: t`where it stands`,
    effect: t`Stands on banks that slump.`,
    care: t`Keep students back from the edge; the land manager decides.`,
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
      <legend>
        <Trans>Cautions</Trans>
      </legend>
      <p className="quiet">
        <Trans>
          They stand in the profile, on its prints, and follow the species into every list of what is cut or
          handled. End with who decides: local rules, the land manager, licensed people.
        </Trans>
      </p>
      {cautions.map((caution, i) => (
        <div className={styles['caution-line']} key={i}>
          <select
            aria-label={t`Kind of caution ${i + 1}`}
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
              <option key={kind} value={kind}>
                {inTongue(kind)}
              </option>
            ))}
          </select>
          {(['part', 'effect', 'care'] as const).map((part) => (
            <input
              key={part}
              aria-label={t`${part === 'part' ? t`Part` : part === 'effect' ? t`What it does` : t`Usual care`}, caution ${i + 1}`}
              placeholder={
                part === 'part' ? t`which part` : part === 'effect' ? t`what it does` : t`the usual care`
              }
              value={caution[part]}
              onChange={(event) => set(i, { [part]: event.target.value })}
            />
          ))}
          <button
            type="button"
            aria-label={t`Remove caution ${i + 1}`}
            onClick={() => onChange(cautions.filter((_, k) => k !== i))}
          >
            ×
          </button>
        </div>
      ))}
      <Button size="small" onClick={() => onChange([...cautions, { kind: 'thorns', ...USUAL.thorns }])}>
        <Trans>Add a caution</Trans>
      </Button>
    </fieldset>
  );
}
