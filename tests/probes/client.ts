import http from 'node:http';

/** A running instance, and a session on it. */
export interface Target {
  url: string;
  /** The session's token; without one the request comes from nobody. */
  token?: string;
  /** Keeps its connections, as a browser does; without one each request opens its own. */
  agent?: http.Agent;
}

export interface Answer {
  status: number;
  headers: http.IncomingHttpHeaders;
  body: string;
  /** As it came over the wire. */
  bytes: number;
}

/** Sends a request as it is written: nothing is put right on the way, unlike with `fetch`. Rejects after ten seconds. */
export function send(
  { url, token, agent }: Target,
  method: string,
  path: string,
  body: string | Buffer = '',
  headers: http.OutgoingHttpHeaders = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = http.request(
      url,
      {
        method,
        path,
        agent: agent ?? false,
        timeout: 10_000,
        headers: {
          origin: url,
          'content-type': 'application/json',
          'content-length': Buffer.byteLength(body),
          ...(token ? { cookie: `gorvin_session=${token}` } : {}),
          ...headers,
        },
      },
      (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () =>
          resolve({
            status: response.statusCode!,
            headers: response.headers,
            body: Buffer.concat(chunks).toString('utf8'),
            bytes: chunks.reduce((sum, { length }) => sum + length, 0),
          }),
        );
        response.on('error', reject);
      },
    );
    request.on('timeout', () =>
      request.destroy(new Error(`no answer within ten seconds: ${method} ${path}`)),
    );
    request.on('error', reject);
    request.end(body);
  });
}
