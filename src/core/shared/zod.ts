import { z } from 'zod';

// In a page functions may not be made out of text: the policy forbids it, and would report that it was tried.
if ('document' in globalThis) z.config({ jitless: true });

export { z };
