/**
 * What a test in a DOM waits for comes when the machine has time for it. A second is the library's usual patience, and a
 * machine that runs all tests at once takes longer now and then.
 */
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/react');
  configure({ asyncUtilTimeout: 30_000 });
}

export {};
