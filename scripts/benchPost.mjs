import { Agent, request } from 'node:http';

/** As many connections as devices are at work at once, kept open as a browser keeps them. */
const agent = new Agent({ keepAlive: true });

/**
 * Posts as a device does, by the lightest means: what the client itself costs is not the server's, and both share
 * one machine here.
 * @returns the answer's body
 */
export function post(address, path, cookie, body) {
  const bytes = Buffer.from(JSON.stringify(body));
  const headers = {
    'Content-Type': 'application/json',
    'Content-Length': bytes.length,
    Cookie: cookie,
  };
  return new Promise((resolve, reject) => {
    const asked = request(address + path, { agent, method: 'POST', headers }, (answer) => {
      const parts = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => {
        const text = Buffer.concat(parts).toString();
        if (answer.statusCode < 300) resolve(JSON.parse(text));
        else reject(new Error(`${path} was answered with ${answer.statusCode}: ${text}`));
      });
    });
    asked.on('error', reject);
    asked.end(bytes);
  });
}

/** Lets go of what is kept open, so that a server can end. */
export function endPosts() {
  agent.destroy();
}
