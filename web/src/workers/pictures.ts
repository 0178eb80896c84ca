import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { drawingOfTree, type DrawingSetting } from '@hurrow/core/lesson';
import { drawingToSvg, drawPlate, type Drawing, type PlateOptions, type Traits } from '@hurrow/core/specimen';
import type { ShownOrgan, Vocabulary } from '@hurrow/core/vocabulary';

/** How a tree is drawn, but for the words: they are the same for all pictures of a page. */
export type TreeSetting = Omit<DrawingSetting, 'vocabulary'>;

/** A picture: markup, or an image. */
export type Picture = string | Blob;

/**
 * Small pictures as markup, on a page or beside it; undefined where nothing can be drawn.
 *
 * @example
 * new Pictures().specimen(traits, ['bud'], { width: 300, height: 200 }, 'Specimen 1'); // '<svg …'
 */
export class Pictures {
  private vocabulary: Vocabulary = new Map();
  private readonly paint: ((drawing: Drawing) => Promise<Blob>) | undefined;

  /** @param paint makes an image of a drawing; without it a tree is markup as well */
  constructor(paint?: (drawing: Drawing) => Promise<Blob>) {
    this.paint = paint;
  }

  /** The characters by which the trees that follow are read. */
  read(vocabulary: Vocabulary): void {
    this.vocabulary = vocabulary;
  }

  /** A typical twig of a tree as it stands on a day, without scale bars; an image where one can be painted. */
  tree(profiled: ProfiledTaxon, setting: TreeSetting, title: string): Promise<Blob> | string | undefined {
    const drawing = drawingOfTree(profiled, ['twig', 'bud', 'leaf'], {
      ...setting,
      vocabulary: this.vocabulary,
      insets: false,
    });
    if (drawing && this.paint) return this.paint(drawing);
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
