import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { clientRecord } from '@/server/services/clientRecord';
import { recordPdf } from '@/server/services/recordPdf';
import { handleReadLater, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

/** One client's whole record, as JSON or (`?as=pdf`) to be read; the file name holds no personal data. */
export async function GET(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  const asPdf = new URL(request.url).searchParams.get('as') === 'pdf';
  return handleReadLater(async () => {
    const record = clientRecord(getDb(), id, nowMs());
    if (!record.ok) return toResponse(record);
    const file = (type: string, name: string): HeadersInit => ({
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    });
    if (!asPdf) {
      return new Response(JSON.stringify(record.value, null, 2), {
        headers: file('application/json', 'client-record.json'),
      });
    }
    return new Response(new Uint8Array(await recordPdf(record.value)), {
      headers: file('application/pdf', 'client-record.pdf'),
    });
  });
}
