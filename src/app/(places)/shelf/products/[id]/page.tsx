import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProductForm } from '@/places/shelf/product-form';
import { loadCurrency, loadProduct } from '@/places/shelf/queries';
import { Page as Sheet } from '@/ui/shell/page';

type Asked = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Asked): Promise<Metadata> {
  const { id } = await params;
  return { title: id === 'new' ? 'New product' : ((await loadProduct(id))?.product?.name ?? 'Not here') };
}

export default async function Page({ params }: Asked) {
  const { id } = await params;
  if (id === 'new') {
    return (
      <Sheet title="New product" lead="Only a name is needed; the rest sharpens the forecast.">
        <ProductForm product={null} currency={await loadCurrency()} />
      </Sheet>
    );
  }
  const loaded = await loadProduct(id);
  if (!loaded) notFound();
  return (
    <Sheet title={loaded.product.name}>
      <ProductForm {...loaded} />
    </Sheet>
  );
}
