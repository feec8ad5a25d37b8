import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { clock } from '../clock.js';

interface Times {
  /** How soon after the server's start, ms. */
  readonly first: number;
  /** How often after that, ms. */
  readonly every: number;
}

interface Round extends Times {
  /** What is the matter while it fails, for the log. */
  readonly trouble: string;
  readonly go: (now: number) => Promise<unknown>;
}

/** What a server looks after again and again while it runs. One round of a kind ends before the next begins. */
@Injectable()
export class Rounds implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(Rounds.name);
  private readonly rounds: Round[] = [];
  private readonly timers = new Map<Round, NodeJS.Timeout>();

  /** Adds a round: `go` is told the time, ms. */
  add(trouble: string, times: Times, go: (now: number) => Promise<unknown>): void {
    this.rounds.push({ trouble, go, ...times });
  }

  onApplicationBootstrap(): void {
    for (const round of this.rounds) this.plan(round, round.first);
  }

  onModuleDestroy(): void {
    for (const timer of this.timers.values()) clearTimeout(timer);
    this.timers.clear();
  }

  private plan(round: Round, wait: number): void {
    this.timers.set(round, setTimeout(() => void this.run(round), wait).unref());
  }

  private async run(round: Round): Promise<void> {
    try {
      await round.go(clock.now());
    } catch (error) {
      this.log.warn(`${round.trouble}: ${String(error)}`);
    }
    if (this.timers.has(round)) this.plan(round, round.every);
  }
}
