import { productRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { saveProduct } from '@/server/services/catalogue';
import { handle, toResponse } from '@/server/toResponse';

export function PUT(request: Request): Promise<Response> {
  return handle<Parameters<typeof saveProduct>[1]>(request, productRequest, (body) =>
    toResponse(saveProduct(getDb(), body)),
  );
}
