import { Controller, Get, Post, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiProduces } from '@nestjs/swagger';
import type { ArchiveOutline, ArchiveReport } from '@dewpot/contract';
import type { Request, Response } from 'express';
import { clock } from '../clock.js';
import { CurrentUser, EvenRemoved, ForRole, OwnTransactions } from '../http/request.js';
import { ArchiveReader } from './archive-reader.service.js';
import { ArchiveWriter } from './archive-writer.service.js';
import { withReceived } from './received-file.js';

const aFile = () => ApiBody({ schema: { type: 'string', format: 'binary' }, required: true });

/** A name that every file system takes. */
const fileName = (workshop: string, now: number) =>
  `${workshop.normalize('NFKD').replace(/[^\w]+/g, '-').replace(/^-|-$/g, '').toLowerCase() || 'workshop'}-${new Date(now).toISOString().slice(0, 10)}.zip`; // prettier-ignore

/** A whole workshop as one file, out and in. */
@ForRole('owner')
@Controller('api/archive')
export class ArchiveController {
  constructor(
    private readonly writer: ArchiveWriter,
    private readonly reader: ArchiveReader,
  ) {}

  /** How large the archive would be. */
  @EvenRemoved()
  @Get('outline')
  outline(): Promise<ArchiveOutline> {
    return this.writer.outline();
  }

  /** The archive, as a ZIP file. */
  @EvenRemoved()
  @Get()
  @ApiProduces('application/zip')
  @OwnTransactions()
  async take(@CurrentUser() { workshopId }: CurrentUser, @Res() response: Response): Promise<void> {
    const now = clock.now();
    await this.writer.write(workshopId, now, (name) =>
      response.type('application/zip').attachment(fileName(name, now)),
    );
  }

  /** Says what reading an archive in would do. */
  @Post('check')
  @ApiConsumes('application/zip')
  @aFile()
  @OwnTransactions()
  check(@CurrentUser() { workshopId }: CurrentUser, @Req() request: Request): Promise<ArchiveReport> {
    return withReceived(request, (path) => this.reader.read(workshopId, path, true));
  }

  /** Reads an archive in: all of it or nothing. */
  @Post('import')
  @ApiConsumes('application/zip')
  @aFile()
  @OwnTransactions()
  read(@CurrentUser() { workshopId }: CurrentUser, @Req() request: Request): Promise<ArchiveReport> {
    return withReceived(request, (path) => this.reader.read(workshopId, path, false));
  }
}
