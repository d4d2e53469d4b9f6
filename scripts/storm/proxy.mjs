import { Buffer } from 'node:buffer'
import http from 'node:http'
import { buffer } from 'node:stream/consumers'

/** Shares of requests that meet with each mishap. */
const mishaps = { dropped: 0.12, answerLost: 0.12, repeated: 0.1, delayed: 0.25 }
const mostDelayMs = 250

/** A bad line: drops requests, loses answers, repeats and delays. Counts what it did. */
export function startBadLine(targetPort, random) {
  const counts = { requests: 0, dropped: 0, answersLost: 0, repeated: 0, delayed: 0 }
  const forward = ({ method, url, headers }, body) =>
    new Promise((resolve, reject) => {
      const out = http.request(
        {
          host: '127.0.0.1',
          port: targetPort,
          method,
          path: url,
          headers: { ...headers, host: `127.0.0.1:${targetPort}` },
        },
        (answer) => {
          const parts = []
          answer
            .on('data', (part) => parts.push(part))
            .on('end', () => {
              resolve({ status: answer.statusCode, headers: answer.headers, body: Buffer.concat(parts) })
            })
            .on('error', reject)
        },
      )
      out.on('error', reject)
      out.end(body)
    })
  let calm = false
  let down = false
  const pass = async (request, response) => {
    try {
      const body = await buffer(request)
      counts.requests += 1
      const dice = calm ? 1 : random()
      if (down || dice < mishaps.dropped) {
        counts.dropped += 1
        request.socket.destroy()
        return
      }
      if (!calm && random() < mishaps.delayed) {
        counts.delayed += 1
        await new Promise((resolve) => {
          setTimeout(resolve, random() * mostDelayMs)
        })
      }
      if (!calm && random() < mishaps.repeated) {
        counts.repeated += 1
        await forward(request, body).catch(() => undefined)
      }
      const answer = await forward(request, body)
      if (dice < mishaps.dropped + mishaps.answerLost) {
        counts.answersLost += 1
        request.socket.destroy()
        return
      }
      response.writeHead(answer.status, answer.headers).end(answer.body)
    } catch {
      request.socket.destroy()
    }
  }
  const server = http.createServer((request, response) => {
    void pass(request, response)
  })
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      resolve({
        port: server.address().port,
        counts,
        /** No signal at all, or some again. */
        setDown: (is) => {
          down = is
        },
        becomeCalm: () => {
          calm = true
          down = false
        },
        stop: () => {
          server.closeAllConnections()
          server.close()
        },
      })
    })
  })
}
