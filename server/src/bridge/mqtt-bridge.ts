import { hostname } from 'node:os';
import { setTimeout as delay } from 'node:timers/promises';
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { InputError } from '@dewpot/core/units';
import { FALLBACK } from '@dewpot/locales';
import mqtt, { type IPublishPacket, type MqttClient } from 'mqtt';
import { clock } from '../clock.js';
import { CONFIG, type ServerConfig } from '../config.js';
import { outageOf } from '../db/outage.js';
import { ProblemError } from '../http/problem-error.js';
import { speakerFor } from '../http/speaker.js';
import { DeviceMessages } from './device-messages.service.js';

/** What devices publish to. */
const TOPICS = ['dewpot/scale', 'dewpot/places/+', 'dewpot/swatches/+'];
/** Where it is told what was refused, and why. */
const REFUSED = 'dewpot/refused';
/** The longest message, bytes. */
const MOST = 512 * 1024;
/** How long is waited while the broker, or the database, does not answer, ms. */
const PAUSE = 2_000;

/** Takes what devices publish to the broker that the server was told of. One message is taken after the other, and none is acknowledged before it is kept. */
@Injectable()
export class MqttBridge implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(MqttBridge.name);
  private client: MqttClient | undefined;
  private stopping = false;

  constructor(
    @Inject(CONFIG) private readonly config: ServerConfig,
    private readonly messages: DeviceMessages,
  ) {}

  onApplicationBootstrap(): void {
    if (!this.config.mqtt) return;
    // The broker keeps what comes while this server is away, under this name.
    const clientId = `dewpot-${hostname()}-${this.config.port}`;
    const client = mqtt.connect(this.config.mqtt, { clientId, clean: false, reconnectPeriod: PAUSE });
    client.handleMessage = (packet, done) => void this.take(packet).finally(() => done());
    client.on('connect', () => client.subscribe(TOPICS, { qos: 1 }));
    client.on('error', (error) => this.log.warn(`The MQTT broker does not answer: ${error.message}`));
    this.client = client;
  }

  async onModuleDestroy(): Promise<void> {
    this.stopping = true;
    await this.client?.endAsync(true);
  }

  private async take({ topic, payload }: IPublishPacket): Promise<void> {
    const text = payload.length > MOST ? '' : payload.toString();
    while (!this.stopping) {
      try {
        return await this.messages.take(topic, text, clock.now());
      } catch (error) {
        if (!outageOf(error)) return this.refuse(topic, error);
        await delay(PAUSE, undefined, { ref: false });
      }
    }
  }

  private refuse(topic: string, error: unknown): void {
    const problem = error instanceof InputError ? ProblemError.of(error) : error;
    if (!(problem instanceof ProblemError)) return this.log.error(`A message to ${topic} failed: ${String(error)}`);
    const say = speakerFor({ language: FALLBACK, system: 'metric', currency: 'EUR' });
    const details = [problem.detail].flat().map((one) => say(one));
    this.client?.publish(REFUSED, JSON.stringify({ topic, title: say(problem.title), detail: details.join(' ') }));
  }
}
