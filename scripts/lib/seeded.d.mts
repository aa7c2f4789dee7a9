export function seedInto(folder: string): Promise<void>;
