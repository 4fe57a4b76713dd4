import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ToolForm } from '@/places/shelf/tool-form';
import { loadTool } from '@/places/shelf/queries';
import { Page as Sheet } from '@/ui/shell/page';

export const metadata: Metadata = { title: 'Tool' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const tool = id === 'new' ? null : await loadTool(id);
  if (id !== 'new' && !tool) notFound();
  return (
    <Sheet title={tool ? 'A size in the drawer' : 'New size'}>
      <ToolForm tool={tool} />
    </Sheet>
  );
}
