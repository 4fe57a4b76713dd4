'use client';
import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link to another page of the program. Nothing is fetched before it is followed: a page is made of what the studio knows at that
 * moment, and asking for every page in sight, twenty or more, kept the server busy and brought none of it nearer.
 */
export default function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
