'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { examState, type ExamState } from '@/core/exam';
import { onLive } from '@/features/live/liveEvents';
import type { ExamAct, ExamView } from '@/server/services/exams';
import { getJson, sendJson } from '@/ui/sendJson';
import { useSeconds } from '@/ui/useSeconds';

export interface Examining {
  readonly exam: ExamView;
  readonly state: ExamState;
  readonly fault: string | null;
  /** True where it was taken. */
  readonly act: (act: ExamAct) => Promise<boolean>;
}

/** An examination as the server has it, from one of its two sides; the other's acts come in as they happen. */
export function useExam(first: ExamView, as: 'candidate' | 'examiner'): Examining {
  const [exam, setExam] = useState(first);
  const [fault, setFault] = useState<string | null>(null);
  // events are only ever added: an answer that comes late takes no place of a newer one
  const take = useCallback((next: ExamView): void => {
    setExam((now) => (next.events.length >= now.events.length ? next : now));
  }, []);
  const nowMs = useSeconds(first.nowMs);
  const onTheWay = useRef(new Set<string>());
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const url = `/api/practice/exams/${first.id}?as=${as}`;
  useEffect(
    () =>
      onLive((event) => {
        const isOurs = event.kind === 'anew' || (event.kind === 'exam' && event.examId === first.id);
        if (!isOurs) return;
        void getJson<ExamView>(url).then((sent) => {
          if (sent.ok) take(sent.value);
        });
      }),
    [url, first.id, take],
  );
  const act = useCallback(
    async (next: ExamAct): Promise<boolean> => {
      // one press is one act: the same again while it is on its way is a bounce; others wait for their turn
      const key = JSON.stringify(next);
      if (onTheWay.current.has(key)) return false;
      onTheWay.current.add(key);
      const turn = last.current.then(() => sendJson<ExamView>('POST', url, next));
      last.current = turn;
      const sent = await turn;
      onTheWay.current.delete(key);
      if (sent.ok) take(sent.value);
      setFault(sent.ok ? null : sent.error.message);
      return sent.ok;
    },
    [url, take],
  );
  const lastMs = exam.events.at(-1)?.atMs ?? 0;
  return { exam, state: examState(exam.board, exam.events, Math.max(nowMs, lastMs)), fault, act };
}
