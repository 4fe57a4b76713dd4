import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import { ToolForm } from '@/places/shelf/tool-form';
import { loadTool } from '@/places/shelf/queries';
import type { Tool } from '@/places/shelf/shelf-types';
import { loadShown } from '@/places/studio/queries';
import { formatDiameter } from '@/ui/format';
import { Page as Sheet } from '@/ui/shell/page';

type Asked = { params: Promise<{ id: string }> };

/** As it is called: "Rigid rod, 20 mm". */
const nameOf = async ({ kind, diameterMm }: Tool) =>
  `${toolKinds[kind as ToolKindId].label}, ${formatDiameter(diameterMm, (await loadShown()).display)}`;

export async function generateMetadata({ params }: Asked): Promise<Metadata> {
  const { id } = await params;
  if (id === 'new') return { title: 'New size' };
  const tool = await loadTool(id);
  return { title: tool ? await nameOf(tool) : 'Not here' };
}

export default async function Page({ params }: Asked) {
  const { id } = await params;
  const tool = id === 'new' ? null : await loadTool(id);
  if (id !== 'new' && !tool) notFound();
  return (
    <Sheet title={tool ? await nameOf(tool) : 'New size'}>
      <ToolForm tool={tool} />
    </Sheet>
  );
}
