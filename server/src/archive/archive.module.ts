import { Module } from '@nestjs/common';
import { ArchiveReader } from './archive-reader.service.js';
import { ArchiveWriter } from './archive-writer.service.js';
import { ArchiveController } from './archive.controller.js';
import { ArchiveTables } from './tables.js';

/** A whole workshop as one file, out and in. */
@Module({
  controllers: [ArchiveController],
  providers: [ArchiveReader, ArchiveTables, ArchiveWriter],
})
export class ArchiveModule {}
