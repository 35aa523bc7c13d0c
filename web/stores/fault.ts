import { z } from 'zod';
import { ApiProblem } from '../api/client';

/** What went wrong, in words: what the server said, else that page and server differ, else that the page is wrong. */
export function faultOf(error: unknown): string {
  if (error instanceof ApiProblem) return error.message;
  if (error instanceof z.ZodError)
    return 'This page is of another version than the server and does not understand its answer. What you entered is kept on this device: reload the page.';
  const what = error instanceof Error ? error.message : String(error);
  return `Something in this page went wrong (${what}). What you entered is kept on this device: reload the page.`;
}
