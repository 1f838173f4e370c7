import { getDb } from '@/server/db/client';
import { exportProducts } from '@/server/services/catalogue';
import { handleRead } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

export function GET(): Response {
  return handleRead(
    () =>
      new Response(exportProducts(getDb()), {
        headers: {
          'content-type': 'application/json',
          'content-disposition': 'attachment; filename="products.json"',
          'cache-control': 'no-store',
        },
      }),
  );
}
