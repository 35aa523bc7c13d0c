import { photoAdded } from '../../job/events/photo-added';
import { ok, refuse } from '../../problem';
import { partsOf } from '../../valve';
import { defineCommand } from '../define-command';

/** Pins a photograph that has been sent for this job before. */
export const addPhoto = defineCommand({
  kind: 'add-photo',
  body: photoAdded.body,
  decide: (body, { plan, isPhotoOfJob }) => {
    const { part } = body;
    if (part !== undefined && !partsOf(plan.valve).some(({ role }) => role === part))
      return refuse({ code: 'input.conflict', fields: ['part'], why: `This valve has no ${part}.` });
    if (isPhotoOfJob(body.photo) === false) return refuse({ code: 'photo.not-of-job', photo: body.photo });
    return ok([{ kind: 'photo-added', body }]);
  },
});
