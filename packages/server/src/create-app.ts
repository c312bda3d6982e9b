import compress from '@fastify/compress';
import cookie from '@fastify/cookie';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter, type NestFastifyApplication } from '@nestjs/platform-fastify';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { AppModule } from './app.module.js';
import type { Config } from './config.js';
import { migrate } from './database/data-source.js';
import { seedWhenEmpty } from './database/demo/seed.js';
import { proxyAddresses, refuseStrangeHosts } from './http/hosts.js';
import { readJsonBodies } from './http/json-body.js';
import { sendSafeHeaders } from './http/safe-headers.js';
import { requestLine, StructuredLogger } from './http/logger.js';
import { keepRequestContext } from './http/request-context.js';
import { serveOpenApi } from './http/openapi.js';
import { answerFrameworkError } from './http/problem.filter.js';
import { serveWeb } from './http/web-files.js';

const BODY_LIMIT_BYTES = 1_048_576;
const ID_LENGTH = 100;

/** The whole server, migrated and seeded, not yet listening. */
export async function createApp(config: Config, now: () => Date = () => new Date()): Promise<NestFastifyApplication> {
  const proxies = await proxyAddresses(config.trustedProxies);
  const adapter = new FastifyAdapter({
    ...(proxies.length > 0 && { trustProxy: proxies }),
    logger: { level: config.logLevel, serializers: { req: requestLine }, ...(config.logTo && { stream: config.logTo }) },
    genReqId: requestIds(),
    bodyLimit: BODY_LIMIT_BYTES,
    routerOptions: { maxParamLength: ID_LENGTH },
    frameworkErrors: answerFrameworkError,
  });
  const app = await NestFactory.create<NestFastifyApplication>(AppModule.with(config), adapter, {
    logger: new StructuredLogger(adapter.getInstance().log),
    abortOnError: false,
    bodyParser: false,
  });
  app.setGlobalPrefix('api');
  const fastify = app.getHttpAdapter().getInstance();
  refuseStrangeHosts(fastify, config.allowedHosts);
  keepRequestContext(fastify);
  readJsonBodies(fastify);
  // What the API answers is somebody's record: nothing between us and the browser keeps it.
  fastify.addHook('onSend', (request, reply, _payload, done) => {
    if (request.url.startsWith('/api') && !reply.hasHeader('cache-control')) reply.header('cache-control', 'no-store');
    done();
  });
  await app.register(cookie);
  await app.register(compress, { threshold: 1024 });
  await sendSafeHeaders(fastify, config.secureCookie);
  serveOpenApi(app);
  await serveWeb(app, config.webRoot);
  const source = app.get(DataSource);
  await migrate(source, async () => {
    if (config.demo) await seedWhenEmpty(source, now(), config.demo);
  });
  return app;
}

/** Ids of requests, unique over all processes: random once, counted then. */
function requestIds(): () => string {
  const ours = uuid();
  let count = 0;
  return () => `${ours}-${(++count).toString(36)}`;
}
