import { getDb } from '@/server/db/client';
import { fileResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { exportProducts } from '@/server/services/catalogue';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => fileResponse(exportProducts(getDb()), 'application/json', 'products.json'),
});
