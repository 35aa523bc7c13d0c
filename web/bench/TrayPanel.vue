<script setup lang="ts">
import { LOTS } from '@dusk-wren/core/job';
import { handOver } from '@dusk-wren/core/plan';
import { partsOf, type PartRole } from '@dusk-wren/core/valve';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { shrinkPhoto, uploadPhoto } from '../api/photos';
import { sayMoment } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import { device } from '../stores/device';
import { faultOf } from '../stores/fault';
import { useJob } from '../stores/job';
import { useSession } from '../stores/session';
import { trayMark } from './tray';

/** What lies on the tray, its photographs, and what the next pair of hands must know. */
const job = useJob();
const session = useSession();
defineEmits<{ pick: [part: PartRole] }>();
const summary = computed(() => (job.planned && job.state ? handOver(job.planned, job.state) : undefined));
const photos = computed(() => job.state?.records['photo-added'] ?? []);
const numbers = computed(
  () => new Map((job.planned ? partsOf(job.planned.valve) : []).map((part) => [part.role, part.number])),
);
const [caption, pinned, problem, busy] = [ref(''), ref<PartRole>(), ref(''), ref(false)];
const withMe = computed(() => job.summary?.withPerson?.id === session.person?.id);
const LISTS = [
  ['loose', 'Loose'],
  ['loaded', 'Still under load'],
  ['locks', 'Locks hanging'],
  ['waits', 'Waits for'],
] as const;
const partChoices = computed(() => [
  { value: undefined, title: 'the valve as a whole' },
  ...[...numbers.value].map(([role, number]) => ({ value: role, title: `${number} ${role}` })),
]);

async function picked(event: Event): Promise<void> {
  if (!(event.target instanceof HTMLInputElement)) return;
  const file = event.target.files?.[0];
  event.target.value = '';
  if (!file || !job.id) return;
  busy.value = true;
  problem.value = '';
  try {
    const photo = crypto.randomUUID();
    await keepOrSend(job.id, photo, await shrinkPhoto(file));
    const words = caption.value.trim() || (pinned.value ?? 'the valve');
    if (
      job.act({
        kind: 'add-photo',
        body: { photo, caption: words, ...(pinned.value ? { part: pinned.value } : {}) },
      })
    )
      caption.value = '';
  } catch (error) {
    problem.value = `${faultOf(error)} The photograph was not taken; the caption is kept.`;
  } finally {
    busy.value = false;
  }
}
/** Kept on this device until it is sent; a browser that keeps nothing sends it at once. */
async function keepOrSend(id: string, photo: string, picture: Blob): Promise<void> {
  try {
    await device.keepPhoto(photo, picture);
  } catch {
    await uploadPhoto(id, photo, picture);
  }
}

/** Pictures that still lie on this device are shown from here. */
const here = ref(new Map<string, string>());
const letGo = () => [...here.value.values()].forEach((address) => URL.revokeObjectURL(address));
watch(
  () => [photos.value.length, job.waiting],
  async () => {
    const found = await Promise.all(
      photos.value.map(async ({ body }) => {
        const picture = await device.photo(body.photo).catch(() => undefined);
        return picture && ([body.photo, URL.createObjectURL(picture)] as const);
      }),
    );
    letGo();
    here.value = new Map(found.filter((each) => each !== undefined));
  },
  { immediate: true },
);
onBeforeUnmount(letGo);
const addressOf = (photo: string) => here.value.get(photo) ?? `/api/jobs/${job.id ?? ''}/photos/${photo}`;
function takeOver(): void {
  if (session.person) job.act({ kind: 'assign-person', body: { person: session.person } });
}
</script>

<template>
  <div v-if="summary" class="tray">
    <section aria-label="Hand-over">
      <div class="head">
        <h2>Hand-over</h2>
        <span class="label muted"
          >with {{ job.summary?.withPerson?.name ?? 'nobody' }}, in hand: {{ summary.inHand }}</span
        >
        <BenchButton v-if="!withMe" @press="takeOver">I take over</BenchButton>
      </div>
      <template v-for="[key, words] in LISTS" :key="key">
        <p v-if="summary[key].length > 0" class="label">
          <b>{{ words }}:</b> {{ summary[key].join('; ') }}
        </p>
      </template>
    </section>
    <section aria-label="On the tray">
      <h2>On the tray</h2>
      <p v-if="summary.tray.length === 0" class="muted">Nothing is off yet.</p>
      <ol>
        <li v-for="each in summary.tray" :key="each.part" class="label">
          <b class="number place">{{ trayMark(each.place) }}</b>
          <button type="button" class="to-drawing label" @click="$emit('pick', each.part)">
            {{ each.part }}
          </button>
          <span role="group" :aria-label="`What becomes of the ${each.part}`" class="lots">
            <button
              v-for="lot in LOTS"
              :key="lot"
              type="button"
              class="label"
              :aria-pressed="each.lot === lot"
              @click="job.act({ kind: 'lay-part', body: { part: each.part, lot } })"
            >
              {{ lot }}
            </button>
          </span>
        </li>
      </ol>
    </section>
    <section aria-label="Photographs">
      <div class="head">
        <h2>Photographs</h2>
        <a v-if="photos.length > 0" class="label" :href="`/api/jobs/${job.id}/photos.zip`" download
          >All in a zip</a
        >
      </div>
      <div class="take">
        <v-select v-model="pinned" label="Pinned to" :items="partChoices" />
        <v-text-field v-model="caption" label="What it shows" maxlength="200" />
        <label class="file label"
          >{{ busy ? 'Sending…' : 'Take or choose' }}
          <input
            type="file"
            accept="image/png,image/jpeg,image/webp"
            capture="environment"
            :disabled="busy"
            @change="picked"
          />
        </label>
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <ul class="photos">
        <li v-for="{ body, seq, at, by } in photos" :key="seq">
          <a :href="addressOf(body.photo)" target="_blank" rel="noopener"
            ><img
              :src="addressOf(body.photo)"
              :alt="`${body.part ?? 'valve'}: ${body.caption}`"
              loading="lazy"
          /></a>
          <p class="label">
            <b v-if="body.part" class="number place">{{ numbers.get(body.part) }}</b> {{ body.caption }}
            <small class="muted">{{ by.name.split(' ')[0] }}, {{ sayMoment(at) }}</small>
          </p>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.tray {
  display: grid;
  gap: 18px;
  align-content: start;
  padding-top: 8px;
}
section {
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
}
ol li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}
.place {
  min-width: 26px;
  text-align: center;
  border: 1px solid var(--muted);
  border-radius: 4px;
}
.to-drawing {
  min-height: var(--touch);
  padding: 0;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  cursor: pointer;
}
.lots {
  display: flex;
}
.lots button {
  min-height: var(--touch);
  min-width: 62px;
  font-size: 15px;
  color: var(--muted);
  background: none;
  border: 1px solid var(--line);
  cursor: pointer;
}
.lots button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -4px 0 var(--blue);
}
.take {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 10px;
}
.file {
  display: grid;
  place-items: center;
  min-height: var(--touch);
  padding: 0 16px;
  font-weight: 600;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
  position: relative;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--blue);
}
.photos {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
}
img {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
@media (max-width: 700px) {
  .take {
    grid-template-columns: minmax(0, 1fr);
  }
  ol li {
    grid-template-columns: 34px minmax(0, 1fr);
    padding: 4px 0;
  }
  .lots {
    grid-column: 2;
  }
}
</style>
