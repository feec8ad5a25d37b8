import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { NewPersonInput, type PersonView } from '@dewpot/contract';
import { PersonEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { Sessions } from './sessions.js';

/** The people of the workshop. */
@Controller('api/people')
export class PeopleController {
  constructor(
    private readonly sessions: Sessions,
    private readonly rows: Rows,
  ) {}

  @Get()
  async all(): Promise<PersonView[]> {
    const people = await this.rows.of(PersonEntity).find({ order: { id: 'ASC' } });
    return people.map(({ id, name, email }) => ({ id, name, email }));
  }

  @Post()
  @HttpCode(201)
  async letIn(@Body() given: NewPersonInput): Promise<PersonView> {
    const id = await this.sessions.join(given);
    const { name, email } = await this.rows.of(PersonEntity).findOneByOrFail({ id });
    return { id, name, email };
  }
}
