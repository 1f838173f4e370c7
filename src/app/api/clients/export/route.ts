import { getDb } from '@/server/db/client';
import { exportClients } from '@/server/services/clientsCsv';
import { handleRead } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

export function GET(): Response {
  return handleRead(
    () =>
      new Response(exportClients(getDb()), {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': 'attachment; filename="clients.csv"',
          'cache-control': 'no-store',
        },
      }),
  );
}
