import { sectionName } from '@/core/parting/section-name';
import type { PartingEdit } from '@/core/run/parting-edit';

/** How the parting is changed, as one would say it: "section 12 parted in two". */
export function partingWords(edit: PartingEdit): string {
  switch (edit.edit) {
    case 'split':
      return `section ${sectionName(edit.section)} parted in two`;
    case 'join':
      return `sections ${sectionName(edit.section)} and ${sectionName(edit.beside)} joined`;
    case 'leave-out':
      return `section ${sectionName(edit.section)} left out`;
    case 'thin':
      return `some hair of section ${sectionName(edit.section)} given to ${sectionName(edit.beside)}`;
    case 'between':
      return `one more section between ${sectionName(edit.section)} and ${sectionName(edit.beside)}`;
    case 'add':
      return 'hair that was left out is set after all';
    case 'size':
      return `${edit.diameterMm} mm for ${edit.sections.length === 1 ? `section ${sectionName(edit.sections[0]!)}` : `${edit.sections.length} sections`}`;
  }
}
