import { newPersonRequest, type PersonWithCode, type SetupPerson } from '@dusk-wren/contract';
import type { z } from 'zod';
import type { Sequelize } from 'sequelize';
import { firstCode, listSetupPeople, personChanged, personInvited } from '../../database/setup-people';
import { setupFile, type SetupFile } from './setup-file';

type Line = z.output<typeof newPersonRequest> & { readonly standing?: SetupPerson['standing'] };

const listed = (cell: string | undefined): string[] =>
  (cell ?? '')
    .split('|')
    .map((each) => each.trim())
    .filter(Boolean);

/** The people of a shop: name, role, and what each is good at, with upright strokes between. */
export const peopleFile = (sequelize: Sequelize, now: () => Date): SetupFile =>
  setupFile<Line>({
    heading: ['name', 'role'],
    may: ['skills'],
    here: async () =>
      (await listSetupPeople(sequelize, now())).map(({ id, name, role, skills, standing }) => ({
        id,
        is: { name, role, skills, standing },
      })),
    nameOf: ({ name }) => name,
    cellsOf: ({ name, role, skills }) => [name, role, skills.join(' | ')],
    read: (cells, was) =>
      newPersonRequest.safeParse({
        name: cells['name'],
        role: cells['role']?.toLowerCase(),
        skills: cells['skills'] === undefined ? (was?.skills ?? []) : listed(cells['skills']),
      }),
    refuses: ({ name }, was) =>
      was?.standing === 'left' ? [`${name} has left: who is back is set so on their own card`] : [],
    writer: async (moment, changes) => {
      const asked = await Promise.all(
        changes.map(async (change) => ({
          ...change,
          first: change.was ? undefined : await firstCode(moment.now),
        })),
      );
      return async (transaction) => {
        const codes: PersonWithCode[] = [];
        for (const { was, is, first } of asked)
          if (first) {
            const invited = await personInvited(moment, is, first, transaction);
            codes.push({ ...invited, until: invited.until.toISOString() });
          } else if (was) {
            const { role, skills } = is;
            await personChanged(moment, was.id, { role, skills }, transaction);
          }
        return codes;
      };
    },
  });
