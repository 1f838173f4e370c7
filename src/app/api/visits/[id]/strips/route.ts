import { stripsSvg } from '@/formats/stripsSvg';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { notFound } from '@/server/errors';
import { loadBench } from '@/server/services/bench';
import { stripsPdf } from '@/server/services/stripsPdf';
import { handleReadLater, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

/** The strips as a PDF of all zones, or (`?zone=underarm&side=left`) one zone as an SVG; neither names the client. */
export async function GET(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  const asked = new URL(request.url).searchParams;
  return handleReadLater(async () => {
    const bench = loadBench(getDb(), id, nowMs());
    if (!bench.ok) return toResponse(bench);
    const { plan, products } = bench.value;
    const file = (type: string, name: string): HeadersInit => ({
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    });
    if (asked.get('zone') === null) {
      return new Response(new Uint8Array(await stripsPdf(plan, (p) => products.find((k) => k.id === p)?.name ?? p)), {
        headers: file('application/pdf', 'strips.pdf'),
      });
    }
    const zone = plan.zones.find((z) => z.zone === asked.get('zone') && z.side === asked.get('side'));
    if (!zone || zone.strips.length === 0) return toResponse(notFound('zone with strips of this visit'));
    return new Response(stripsSvg(zone), { headers: file('image/svg+xml', `strips-${zone.zone}-${zone.side}.svg`) });
  });
}
