'use client';

import { useEffect, useState } from 'react';
import { useBuild } from '../common/build-store';
import { ask } from '../sending/answers';

interface OtherBuild {
  readonly id: string;
  readonly name: string;
}

/** The other builds of the workspace, as many as a list shows at once. */
export function useOtherBuilds(): readonly OtherBuild[] {
  const own = useBuild((s) => s.workbench.build);
  const [builds, setBuilds] = useState<readonly OtherBuild[]>([]);
  useEffect(() => {
    let there = true;
    void ask<{ builds: readonly OtherBuild[] }>('/api/builds').then((found) => {
      if (found && there) setBuilds(found.builds.filter((b) => b.id !== own));
    });
    return () => void (there = false);
  }, [own]);
  return builds;
}
