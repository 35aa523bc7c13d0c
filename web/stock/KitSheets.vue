<script setup lang="ts">
import { kitsView } from '@dusk-wren/contract/stock';
import { useQuery } from '@pinia/colada';
import { call } from '../api/client';
import '../parts/table.css';

/** The printed sheets on file: which line lies in which of their kits. */
const { data, error } = useQuery({ key: () => ['kits'], query: () => call('/store/kits', kitsView) });
const says = (fits: Readonly<Record<string, string | boolean>>) =>
  Object.values(fits).map(String).join(', ') || 'any of them';
</script>

<template>
  <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
  <p v-else-if="data && data.kits.length === 0" class="muted">No sheet on file. They come in under Files.</p>
  <section v-for="sheet in data?.kits" :key="sheet.number" class="row-flat sheet">
    <h2>
      {{ sheet.number }} <span class="muted">{{ sheet.title }}</span>
    </h2>
    <div class="scroll">
      <table class="store-table label">
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Part</th>
            <th v-for="kit in sheet.kits" :key="kit.code" scope="col">
              {{ kit.code }}<br /><span class="fits">{{ says(kit.fits) }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in sheet.lines" :key="line.line">
            <td class="number">{{ line.line }}</td>
            <td>
              <b>{{ line.name }}</b> <span class="muted">{{ line.elastomer ?? '' }}</span>
            </td>
            <td v-for="kit in sheet.kits" :key="kit.code" class="number">
              {{ line.kits.includes(kit.code) ? line.quantity : '–' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.sheet {
  padding: 12px 16px;
}
.scroll {
  overflow-x: auto;
}
.fits {
  font-weight: 400;
}
</style>
