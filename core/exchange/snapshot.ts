import { z } from 'zod';
import type { AnyDoc } from '../model/documents';
import { readDocument } from './migrate';
import { readWith, type Result } from './readWith';

/** Why everything was kept as it stood. */
export const SNAPSHOT_REASONS = [
  'the day',
  'before bringing in',
  'before an update',
  'before starting empty',
  'before the demo',
  'before going back',
  'by hand',
] as const;
export type SnapshotReason = (typeof SNAPSHOT_REASONS)[number];

/** All documents as they stood at a moment. They are read one by one, so that one that is damaged does not cost the rest. */
export const snapshotSchema = z.looseObject({
  kind: z.literal('snapshot'),
  version: z.literal(1),
  /** Local time. */
  at: z.string().max(40),
  why: z.string().max(60),
  docs: z.array(z.unknown()).max(20_000),
});

export interface SnapshotFile {
  readonly kind: 'snapshot';
  readonly version: 1;
  readonly at: string;
  readonly why: string;
  readonly docs: readonly unknown[];
}

/** A snapshot as read: its documents, and how many of it could not be read. */
export interface Snapshot {
  readonly at: string;
  readonly why: string;
  readonly docs: readonly AnyDoc[];
  readonly unread: number;
}

export function readSnapshot(data: unknown): Result<Snapshot> {
  const read = readWith<SnapshotFile>(snapshotSchema, data);
  if (!read.ok) return read;
  const { at, why, docs } = read.value;
  const each = docs.map((doc) => readDocument(doc));
  const whole = each.flatMap((one) => (one.ok ? [one.value] : []));
  return { ok: true, value: { at, why, docs: whole, unread: docs.length - whole.length } };
}
