import type * as Form from './BringForm';

export const loadBringForm = (): Promise<typeof Form> => import('./BringForm');
