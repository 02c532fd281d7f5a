import type { z } from 'zod';

/** What a door is asked for by its address: the path's own names, and what stands behind the question mark. */
export async function askedOf<Shape extends z.ZodType>(
  shape: Shape,
  request: Request,
  params: Promise<Readonly<Record<string, string>>>,
): Promise<z.infer<Shape> | undefined> {
  const searched = Object.fromEntries(new URL(request.url).searchParams);
  const asked = shape.safeParse({ ...searched, ...(await params) });
  return asked.success ? asked.data : undefined;
}
