import { LinkButton } from '@/ui/shell/link-button';

/** The first draft of a head: where a plan begins. */
export const NewPlanButton = ({ headId, label }: { headId: string; label: string }) => (
  <LinkButton href={`/plan/first?head=${headId}`} variant="contained">
    {label}
  </LinkButton>
);
