'use client';

import { useState } from 'react';
import type { StripJob } from '@/core/records';
import { PAPERS, type Paper } from '@/core/stickers';
import type { CutPlan } from '@/core/stickers/cutting';
import { Button } from '@/ui/button';
import { saveBlob } from '@/ui/save-file';
import { useBuild } from '../../common/build-store';
import { CAUTIONS } from '../../words/stickers';

/** Templates at true size as a PDF, on either paper. */
export function TemplateButtons({ job, plan }: { job: StripJob; plan: CutPlan | null }) {
  const build = useBuild((s) => s.workbench.build);
  const [says, setSays] = useState('');
  const get = async (paper: Paper) => {
    setSays('The template is being drawn…');
    try {
      const response = await fetch(`/api/builds/${build}/sticker-template`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ job: job.id, plan, paper, cautions: Object.values(CAUTIONS) }),
      });
      if (response.ok) saveBlob(await response.blob(), 'sticker-templates.pdf');
      setSays(
        response.ok
          ? 'Saved. Print it at actual size, and measure its ruler first.'
          : '▲ What is left of the sheets changed meanwhile: look at the plan again, then ask anew.',
      );
    } catch {
      setSays('▲ The server did not answer: nothing was saved. Try again.');
    }
  };
  return (
    <div className="no-print my-2">
      <div className="flex flex-wrap gap-2">
        {(Object.keys(PAPERS) as Paper[]).map((paper) => (
          <Button key={paper} disabled={!plan} onClick={() => void get(paper)}>
            Template at true size, {paper}
          </Button>
        ))}
      </div>
      <p role="status" className="text-[12px]">
        {says}
      </p>
    </div>
  );
}
