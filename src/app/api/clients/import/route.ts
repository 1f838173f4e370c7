import { importRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { importClients } from '@/server/services/clientsCsv';
import { handle, toResponse } from '@/server/toResponse';

export function POST(request: Request): Promise<Response> {
  return handle<{ csv: string; commit: boolean }>(request, importRequest, (body) =>
    toResponse(importClients(getDb(), body, nowMs())),
  );
}
