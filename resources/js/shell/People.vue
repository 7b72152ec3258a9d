<script setup lang="ts">
import { api } from '@/api/client'
import type { People, Told } from '@/api/types'
import { useClipboard, useTimeAgo } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useForm } from './useForm'

/** Who works on a job, a link for another, and who did what. */
const props = defineProps<{ job: string }>()
const visible = defineModel<boolean>('visible', { required: true })
const router = useRouter()
const people = ref<People | null>(null)
const told = ref<Told[]>([])
const link = ref<{ url: string; days: number } | null>(null)
const { refused, attempt } = useForm()
const trouble = computed(() => Object.values(refused.value)[0])
const { copy, copied } = useClipboard({ legacy: true })
const when = (at: string) => useTimeAgo(new Date(at)).value

async function look() {
  people.value = await api<People>('GET', `/api/jobs/${props.job}/helpers`)
  told.value = await api<Told[]>('GET', `/api/jobs/${props.job}/history`)
}
const invite = () =>
  attempt(async () => {
    link.value = await api('POST', `/api/jobs/${props.job}/invitations`)
    await look()
  })
const takeBack = () =>
  attempt(async () => {
    await api('DELETE', `/api/jobs/${props.job}/invitations`)
    link.value = null
    await look()
  })
const letGo = (id: string, isYou: boolean) =>
  attempt(async () => {
    await api('DELETE', `/api/jobs/${props.job}/helpers`, { id })
    if (isYou) await router.push('/')
    else await look()
  })

watch(visible, (is) => {
  link.value = null
  if (is) void attempt(look)
})
</script>

<template>
  <Dialog v-model:visible="visible" modal header="People and history" :style="{ width: '520px' }">
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
    <template v-if="people">
      <ul class="people">
        <li>
          <span
            ><strong>{{ people.owner }}</strong
            >, whose job it is</span
          >
        </li>
        <li v-for="helper in people.helpers" :key="helper.id">
          <span
            ><strong>{{ helper.name }}</strong
            >, who helps</span
          >
          <Button
            v-if="people.is_owner || helper.is_you"
            text
            severity="secondary"
            :label="helper.is_you ? 'Help no more' : 'Let go'"
            :aria-label="helper.is_you ? 'Help no more' : `Let ${helper.name} go`"
            @click="letGo(helper.id, helper.is_you)"
          />
        </li>
      </ul>
      <template v-if="people.is_owner">
        <div v-if="link" class="link">
          <label for="invitation"
            >Send this link to one person. It is good once, for {{ link.days }} days.</label
          >
          <InputText id="invitation" :model-value="link.url" readonly />
          <Button :label="copied ? 'Copied' : 'Copy the link'" @click="copy(link.url)" />
        </div>
        <div v-else class="actions">
          <Button outlined label="Invite a helper" @click="invite" />
          <Button
            v-if="people.invitations > 0"
            text
            severity="secondary"
            :label="
              people.invitations === 1
                ? 'Take back 1 open link'
                : `Take back ${people.invitations} open links`
            "
            @click="takeBack"
          />
        </div>
      </template>
      <h2>What was done</h2>
      <p v-if="told.length === 0" class="soft">Nothing yet.</p>
      <ol class="told">
        <li v-for="(step, i) in told" :key="i">
          <span
            ><strong>{{ step.who }}</strong>
            {{ step.how === 'undo' ? 'undid' : step.how === 'redo' ? 'redid' : '' }} {{ step.what
            }}<template v-if="step.where">, {{ step.where }}</template></span
          >
          <span class="soft">{{ when(step.at) }}</span>
        </li>
      </ol>
    </template>
    <p v-else-if="!trouble" class="soft" aria-busy="true">Looking …</p>
  </Dialog>
</template>

<style scoped>
.people,
.told {
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}
.people li,
.told li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
}
.told {
  max-height: 300px;
  overflow: auto;
}
.told .soft {
  flex: none;
}
.link,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 16px;
}
.link label {
  flex-basis: 100%;
}
.link input {
  flex: 1;
}
</style>
