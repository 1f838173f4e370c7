import { formRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import type { FormData } from '@/server/db/schema';
import { loadForm, saveForm } from '@/server/services/clientForm';
import { handle, handleRead, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

export async function GET(_: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handleRead(() => toResponse(loadForm(getDb(), id)));
}

export async function PUT(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ version: number; data: FormData }>(request, formRequest, (body) =>
    toResponse(saveForm(getDb(), id, body)),
  );
}
