import { productImportRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { importProducts } from '@/server/services/catalogue';
import { handle, toResponse } from '@/server/toResponse';

export function POST(request: Request): Promise<Response> {
  return handle<{ text: string; commit: boolean }>(request, productImportRequest, (body) =>
    toResponse(importProducts(getDb(), body)),
  );
}
