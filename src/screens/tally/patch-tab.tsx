'use client';

import { useMemo, useState } from 'react';
import { fileName } from '@/core/shared/file-name';
import { patchOf, readPatch, reversePatch, sizeOfPatch, type Patch } from '@/core/patch';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { FileDrop } from '@/ui/file-drop';
import { count, pieces } from '@/ui/numbers';
import { saveBlob } from '@/ui/save-file';
import { useBuild } from '../common/build-store';
import { patchFaultWords } from '../words/patch';
import { BuildPicker } from './build-picker';
import { PatchTrial } from './patch-trial';
import { PatternsPanel } from './patterns-panel';

/** What a mod did to its set, to be given away, tried on another copy, or taken back. */
export function PatchTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [author, setAuthor] = useState('');
  const [tried, setTried] = useState<{ readonly patch: Patch; readonly key: number } | null>(null);
  const [says, setSays] = useState('');
  const made = useMemo(() => {
    void version;
    return patchOf(workbench, { planned });
  }, [workbench, version, planned]);
  const own = { ...made, author: author.trim().slice(0, 200) };
  const size = sizeOfPatch(own);
  const take = (patch: Patch) => {
    setSays('');
    setTried((t) => ({ patch, key: (t?.key ?? 0) + 1 }));
  };
  const read = async (from: () => Promise<string>) => {
    setSays('Reading the patch…');
    try {
      const found = readPatch(await from());
      if (found.ok) take(found.value);
      else setSays(`▲ ${patchFaultWords(found.reason)}`);
    } catch {
      setSays('▲ That could not be read. Try again.');
    }
  };
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="text-[21px] leading-tight">
        {size.lines === 0
          ? `Nothing has been done to the set ${planned ? 'or is planned' : 'yet'}.`
          : `${count(size.lines)} ${size.lines === 1 ? 'line' : 'lines'}: ${pieces(size.off)} off, ${count(size.on)} on.`}
      </h1>
      <p className="text-soft mb-3 max-w-prose">
        A patch says what was done to the set by part and zone, and nothing of who, when, what it cost or what
        this copy lacked. It can be tried on another copy, and reversed.
      </p>
      <div className="mb-5 flex flex-wrap items-end gap-2">
        <Field label="Made by; may be empty">
          <Input value={author} maxLength={200} onChange={(e) => setAuthor(e.target.value)} />
        </Field>
        <Button look="main" disabled={size.lines === 0} onClick={() => save(own)}>
          Save the patch
        </Button>
        <Button disabled={size.lines === 0} onClick={() => save(reversePatch(own))}>
          Save its reverse
        </Button>
        <Button disabled={size.lines === 0} onClick={() => take(reversePatch(own))}>
          Bring this mod back to its set…
        </Button>
      </div>
      <h2 className="mb-1 text-[16px]">Try a patch on this build</h2>
      <div className="mb-2 flex flex-wrap items-stretch gap-3">
        <FileDrop
          words="Choose a file"
          label="A patch or a mod file"
          accept=".json,application/json"
          className="flex flex-wrap items-center gap-3 p-3"
          onFile={(f) =>
            f.size > MOST_BYTES
              ? setSays('▲ That file is larger than 20 MB: no patch is. Nothing was read.')
              : void read(() => f.text())
          }
        >
          <span className="text-soft">Drop a patch or a mod file here</span>
        </FileDrop>
        <OtherBuild onPatch={(path) => void read(async () => (await fetch(path)).text())} />
      </div>
      <p role="status">{says}</p>
      {tried && <PatchTrial key={tried.key} patch={tried.patch} planned={planned} />}
      <PatternsPanel />
    </div>
  );
}

const MOST_BYTES = 20 * 1024 * 1024;

function save(patch: Patch): void {
  const text = `${JSON.stringify(patch, null, 1)}\n`;
  saveBlob(new Blob([text], { type: 'application/json' }), `${fileName(patch.name, 'mod')}-patch.json`);
}

/** The patch of another build of this workspace. */
function OtherBuild({ onPatch }: { onPatch: (path: string) => void }) {
  const [chosen, setChosen] = useState('');
  return (
    <div className="border-edge flex flex-wrap items-end gap-2 rounded-lg border p-3">
      <BuildPicker label="Or what another build did" value={chosen} onChoose={setChosen} />
      <Button disabled={!chosen} onClick={() => onPatch(`/api/builds/${chosen}/files/patch.json`)}>
        Try it
      </Button>
    </div>
  );
}
