import type { FastifyReply } from 'fastify';

/** The name of one of our files, made from a title. @param fallback where nothing of the title is left */
export function fileNameOf(title: string, fallback: string): string {
  const slug = title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${slug || fallback}.claypot.json`;
}

/** Sends one of our files as a download. */
export const sendFile = (reply: FastifyReply, fileName: string, text: string) =>
  reply
    .header('content-type', 'application/json; charset=utf-8')
    .header('content-disposition', `attachment; filename="${fileName}"`)
    .send(text);
