import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { drawingOfTree, type DrawingSetting } from '@hurrow/core/lesson';
import { drawingToSvg, drawPlate, type PlateOptions, type Traits } from '@hurrow/core/specimen';
import type { ShownOrgan, Vocabulary } from '@hurrow/core/vocabulary';

/** How a tree is drawn, but for the words: they are the same for all pictures of a page. */
export type TreeSetting = Omit<DrawingSetting, 'vocabulary'>;

/**
 * Small pictures as markup, on a page or beside it; undefined where nothing can be drawn.
 *
 * @example
 * new Pictures().specimen(traits, ['bud'], { width: 300, height: 200 }, 'Specimen 1'); // '<svg …'
 */
export class Pictures {
  private vocabulary: Vocabulary = new Map();

  /** The characters by which the trees that follow are read. */
  read(vocabulary: Vocabulary): void {
    this.vocabulary = vocabulary;
  }

  /** A typical twig of a tree as it stands on a day, without scale bars. */
  tree(profiled: ProfiledTaxon, setting: TreeSetting, title: string): string | undefined {
    const drawing = drawingOfTree(profiled, ['twig', 'bud', 'leaf'], {
      ...setting,
      vocabulary: this.vocabulary,
      insets: false,
    });
    return drawing && drawingToSvg({ ...drawing, scaleBars: [] }, title);
  }

  /** One specimen of known traits. */
  specimen(
    traits: Traits,
    organs: readonly ShownOrgan[],
    options: PlateOptions,
    title: string,
  ): string | undefined {
    const drawing = drawPlate(traits, organs, options);
    return drawing && drawingToSvg(drawing, title);
  }
}
