import type { IncomingMessage, ServerResponse } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { context, propagation, ROOT_CONTEXT, SpanKind, SpanStatusCode, trace, type Tracer } from '@opentelemetry/api';
import { OTLPTraceExporter } from '@opentelemetry/exporter-trace-otlp-http';
import { resourceFromAttributes } from '@opentelemetry/resources';
import { BatchSpanProcessor, NodeTracerProvider } from '@opentelemetry/sdk-trace-node';
import type { DataSource, EntitySubscriberInterface } from 'typeorm';
import type { AfterQueryEvent } from 'typeorm/subscriber/event/QueryEvent.js';
import { answeredBy, type Answered } from './answered.js';

/** Of a statement so much is told, characters. */
const MOST_TEXT = 1_000;

/** A server that stops waits so long for a collector, ms. */
const LAST = 1_500;

/** A request by its route and whose it was, in the field's own names; nothing of what was asked. */
const attributesOf = ({ requestId, method, route, status, visitor }: Answered) => ({
  'http.request.method': method,
  'http.response.status_code': status,
  'dewpot.request': requestId,
  ...(route && { 'http.route': route }),
  ...(visitor && { 'dewpot.workshop': visitor.workshopId, 'dewpot.person': visitor.personId }),
});

/** Tells a collector of OpenTelemetry how long each request took, and each statement that it waited for. */
export class Traces {
  private readonly provider: NodeTracerProvider;
  private readonly tracer: Tracer;

  /** `url`: where the collector takes spans as JSON by OTLP over HTTP. */
  constructor(url: string, source: DataSource) {
    this.provider = new NodeTracerProvider({
      resource: resourceFromAttributes({ 'service.name': 'dew-pot' }),
      spanProcessors: [new BatchSpanProcessor(new OTLPTraceExporter({ url }))],
    });
    this.provider.register();
    this.tracer = this.provider.getTracer('dew-pot');
    source.subscribers.push(this.statements);
  }

  /** Handles a request of the API within its span, which is a part of the trace that its headers name. */
  readonly within = (request: IncomingMessage, response: ServerResponse, handle: () => void): void => {
    if (!request.url?.startsWith('/api/')) return handle();
    const since = performance.now();
    const from = propagation.extract(ROOT_CONTEXT, request.headers);
    const span = this.tracer.startSpan(request.method ?? '', { kind: SpanKind.SERVER }, from);
    response.once('close', () => {
      const answered = answeredBy(request, response, since);
      if (answered.route) span.updateName(`${answered.method} ${answered.route}`);
      if (answered.status >= 500 || !response.writableFinished) span.setStatus({ code: SpanStatusCode.ERROR });
      span.setAttributes(attributesOf(answered)).end();
    });
    context.with(trace.setSpan(from, span), handle);
  };

  /** What a statement was given is somebody's data: its text alone is told. */
  private readonly statements: EntitySubscriberInterface = {
    afterQuery: ({ query, success, executionTime = 0 }: AfterQueryEvent) => {
      if (!trace.getActiveSpan()) return;
      const [verb = ''] = query.split(/\s/, 1);
      const span = this.tracer.startSpan(verb.toUpperCase(), {
        kind: SpanKind.CLIENT,
        startTime: Date.now() - executionTime,
        attributes: { 'db.system.name': 'postgresql', 'db.query.text': query.slice(0, MOST_TEXT) },
      });
      if (!success) span.setStatus({ code: SpanStatusCode.ERROR });
      span.end();
    },
  };

  /** Sends what was not sent yet, to a collector that takes it in time. */
  async stop(): Promise<void> {
    await Promise.race([this.provider.shutdown(), wait(LAST)]);
    trace.disable();
    context.disable();
    propagation.disable();
  }
}
