// Over plain http in the home network a browser leaves this out; every act is named by it.
if (typeof crypto !== 'undefined' && !('randomUUID' in crypto))
  Object.defineProperty(crypto, 'randomUUID', {
    value: () =>
      [...(crypto as Crypto).getRandomValues(new Uint8Array(16))]
        .map((b, i) => (i === 6 ? (b & 15) | 64 : i === 8 ? (b & 63) | 128 : b).toString(16).padStart(2, '0'))
        .join('')
        .replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-'),
  });

export {};
