import { layBrick, type Layout } from '../parting/brick-layout';
import { techniqueOf, type TechniqueId } from '../techniques';

/** The layout of a technique: as many sections as asked, in the proportion it wants. */
export const layoutFor = (technique: TechniqueId, sections: number): Layout =>
  layBrick(sections, techniqueOf(technique).sectionAspect);
