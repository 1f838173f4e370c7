import { moneyRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { savePrices } from '@/server/services/prices';
import { handle, toResponse } from '@/server/toResponse';

export function PUT(request: Request): Promise<Response> {
  return handle<Parameters<typeof savePrices>[1]>(request, moneyRequest, (body) =>
    toResponse(savePrices(getDb(), body)),
  );
}
