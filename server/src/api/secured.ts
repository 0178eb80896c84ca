import { randomBytes } from 'node:crypto';
import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';
import type { Config } from '../config.ts';

/**
 * What browsers are to keep to. Files of the pages take only what bears on a script, a worker or a style: with forty of them the rest was a
 * tenth of what a phone loads. The nonce of a page's styles is left in `response.locals`.
 */
export function secured({ secure }: Config): RequestHandler {
  const ofPages = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // Style elements carry the nonce of the page; there is no inline script at all.
        styleSrc: [
          "'self'",
          (_request, response) => `'nonce-${(response as Response).locals['nonce'] as string}'`,
        ],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: secure,
  });
  const ofFiles = helmet({
    contentSecurityPolicy: { useDefaults: false, directives: { defaultSrc: ["'self'"] } },
    strictTransportSecurity: secure,
    crossOriginOpenerPolicy: false,
    originAgentCluster: false,
    referrerPolicy: false,
    xDnsPrefetchControl: false,
    xDownloadOptions: false,
    xFrameOptions: false,
    xPermittedCrossDomainPolicies: false,
    xXssProtection: false,
  });
  return (request, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    (request.path.startsWith('/assets/') ? ofFiles : ofPages)(request, response, next);
  };
}
