import { msg } from '@dewpot/core/units';
import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { NewPersonInput, type PersonView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { CurrentUser } from '../http/request.js';
import { AddressTaken, People } from './people.service.js';

/** The people of the workshop. */
@Controller('api/people')
export class PeopleController {
  constructor(private readonly people: People) {}

  @Get()
  all(): Promise<PersonView[]> {
    return this.people.all();
  }

  @Post()
  @HttpCode(201)
  async letIn(@Body() given: NewPersonInput): Promise<PersonView> {
    try {
      return await this.people.one(await this.people.join(await this.people.hashed(given)));
    } catch (error) {
      if (!(error instanceof AddressTaken)) throw error;
      const remedy = msg('server.anotherAddress');
      throw new ProblemError(409, msg('server.taken'), {
        detail: remedy,
        errors: [{ field: 'email', value: given.email, message: msg('server.someoneHasAddress'), remedy }],
      });
    }
  }

  /** Removes a person; the owner alone does that. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string, @CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.people.remove(id, personId);
  }
}
