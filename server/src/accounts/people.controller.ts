import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req } from '@nestjs/common';
import { RoleInput, type NewInvitation, type PersonView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { CurrentUser, ForRole, InPerson, type AppRequest } from '../http/request.js';
import { InvitationMailsService } from './invitation-mails.service.js';
import { InvitationsService } from './invitations.service.js';
import { People } from './people.service.js';

/** The people of the workshop. */
@Controller('api/people')
export class PeopleController {
  constructor(
    private readonly people: People,
    private readonly invitations: InvitationsService,
    private readonly mails: InvitationMailsService,
  ) {}

  @Get()
  all(): Promise<PersonView[]> {
    return this.people.all();
  }

  /** Changes what a person may do. */
  @ForRole('owner')
  @InPerson()
  @Put(':id')
  role(@Key() id: string, @Body() { role }: RoleInput): Promise<PersonView> {
    return this.people.changeRole(id, role);
  }

  /** Makes a link with which a person who lost their passphrase chooses a new one. It is told this once. */
  @ForRole('owner')
  @InPerson()
  @Post(':id/renewal')
  @HttpCode(201)
  async letRenew(@Key() id: string, @CurrentUser() { personId }: CurrentUser, @Req() request: AppRequest): Promise<NewInvitation> {
    const made = await this.invitations.letRenew(personId, id);
    const { name: person, email: to } = await this.people.one(id);
    return this.mails.post(made, { to, person }, request);
  } // prettier-ignore

  /** Removes a person. */
  @ForRole('owner')
  @InPerson()
  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.people.remove(id);
  }

  /** Leaves the workshop. What one did stays. */
  @ForRole('guest')
  @InPerson()
  @Delete()
  @HttpCode(204)
  leave(@CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.people.remove(personId);
  }
}
