'use client';

import { startTransition, useEffect, useMemo, useState } from 'react';
import type { Colour } from '@/core/colour';
import {
  alternativesFor,
  partsToLookUp,
  registerOf,
  withKnowledge,
  type Register,
  type RegisterRows,
} from '@/core/mismatch';
import type { Workbench } from '@/core/workbench';
import { splitElementKey, type ElementKey } from '@/core/parts';
import type { PartId } from '@/core/shared/ids';
import { post } from '../sending/answers';
import { recallHere, rememberHere } from '../sending/known-here';

const REGISTER = '/api/register';

/** Answers come one part at a time while a line is typed: they are kept together, a moment later. */
let remembering: number | undefined;
function rememberSoon(): void {
  window.clearTimeout(remembering);
  remembering = window.setTimeout(() => void rememberHere(REGISTER, said), 500);
}

/** What the register has said to this window: it says the same of a part for ever. */
let said: RegisterRows = {};
const asked = new Map<PartId, Promise<void>>();

/** Takes in what a page came with. */
function takeIn(rows: RegisterRows): void {
  for (const part of Object.keys(rows)) asked.set(part as PartId, Promise.resolve());
  said = { ...said, ...rows };
  rememberSoon();
}

/** Asks for what is not here yet; done when all of it has been answered, by whoever it was asked. */
async function askFor(parts: readonly PartId[]): Promise<void> {
  const fresh = parts.filter((p) => !asked.has(p));
  const answered = fresh.length > 0 ? askAnew(fresh) : undefined;
  if (answered) fresh.forEach((p) => asked.set(p, answered));
  await Promise.all(new Set(parts.map((p) => asked.get(p))));
}

async function askAnew(parts: readonly PartId[]): Promise<void> {
  const answer = await post<RegisterRows>(REGISTER, { parts });
  if (answer.reached && answer.answer.ok) {
    said = { ...said, ...answer.answer.value };
    rememberSoon();
    return;
  }
  parts.forEach((p) => asked.delete(p));
  // Without the network what it said before still holds.
  if (!answer.reached) said = { ...(await recallHere<RegisterRows>(REGISTER)), ...said };
}

/**
 * The register, with imported lists and with what came out of this build's boxes laid over it; null until it has
 * answered for the build's parts. `came` is what the page came with.
 */
export function useRegister(workbench: Workbench, version: number, came: RegisterRows): Register | null {
  const [rows, setRows] = useState<RegisterRows>(() => ({ ...said, ...came }));
  useEffect(() => takeIn(came), [came]);
  const parts = useMemo(() => {
    void version;
    return partsToLookUp(workbench.ownElements);
  }, [workbench, version]);
  useEffect(() => {
    let there = true;
    let timer: number | undefined;
    const look = () =>
      void askFor(parts).then(() => {
        if (!there) return;
        // A large build's colours take a while to look through: the page goes on answering meanwhile.
        startTransition(() => setRows(said));
        // The server was away: it is asked again.
        if (parts.some((p) => !(p in said))) timer = window.setTimeout(look, AGAIN_MS);
      });
    look();
    return () => {
      there = false;
      window.clearTimeout(timer);
    };
  }, [parts]);
  const isWhole = useMemo(() => parts.every((p) => p in rows), [parts, rows]);
  const [wasWhole, setWasWhole] = useState(isWhole);
  if (isWhole && !wasWhole) setWasWhole(true);
  return useMemo(() => {
    void version;
    // What is shown stays while the row of a new part is on its way.
    if (!wasWhole) return null;
    const proof = proofOf(workbench);
    const onMissing = (part: PartId) => void askFor([part]).then(() => setRows(said));
    return withKnowledge(registerOf(rows, onMissing), workbench.records.madeIn, proof);
  }, [workbench, version, rows, wasWhole]);
}

/**
 * Whether a part was ever made in its colour, and in which near ones instead; null while the register has not answered, or
 * where nothing is asked. It asks for the one part alone: a line that is typed waits for no more.
 */
export function useNeverMade(
  workbench: Workbench,
  element: ElementKey | null,
): { readonly near: readonly { readonly colour: Colour; readonly deltaE: number }[] } | null {
  const [rows, setRows] = useState<RegisterRows>(said);
  const part = element ? splitElementKey(element).part : null;
  useEffect(() => {
    let there = true;
    if (part !== null) void askFor([part]).then(() => there && setRows(said));
    return () => {
      there = false;
    };
  }, [part]);
  return useMemo(() => {
    if (!element || part === null || !(part in rows)) return null;
    const proof = proofOf(workbench);
    const register = withKnowledge(registerOf(rows), workbench.records.madeIn, proof);
    // What lies somewhere was made, whatever a list says.
    if (register.look(element).made || workbench.callContext().atHand(element)) return null;
    return { near: alternativesFor(element, workbench.palette, register, thisYear(), 2).colours };
  }, [workbench, element, part, rows]);
}

/** What came out of a box was made. */
function proofOf(workbench: Workbench): Set<ElementKey> {
  const proof = new Set<ElementKey>();
  for (const e of workbench.records.entry.values())
    if (e.kind === 'unpack') for (const m of e.movements) proof.add(m.element);
  return proof;
}

const AGAIN_MS = 2000;

/** The year that the register is asked for. */
export const thisYear = (): number => new Date().getFullYear();
