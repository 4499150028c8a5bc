<script setup lang="ts">
import { computed, ref } from 'vue'
import { CodedError } from '../../../core/errors'
import { families } from '../../../core/knowledge/families'
import { adviceOnSecond, draftOf } from '../../../core/planning/draft/procedure'
import { redrafted } from '../../../core/planning/draft/redraft'
import { secondRoles } from '../../../core/planning/draft/second'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { secondRoleIds, type Procedure, type Second, type SecondRole } from '../../../core/records/procedure'
import { stampNow } from '../../bench/clock'
import { glueName, type JointView } from '../../bench/jointView'
import { settingOf } from '../../bench/setting'
import { useBench } from '../../bench/store'
import { percent } from '../../look/figures'
import VerdictMark from '../../look/VerdictMark.vue'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** Another glue beside the procedure’s own: what it is for, its share of the faces, and the steps that it brings. */
const props = defineProps<{ view: JointView; procedure: Procedure; locked: boolean }>()
const emit = defineEmits<{ put: [patch: Partial<Procedure>, what: string, opened?: Partial<Procedure>] }>()
const bench = useBench()
const open = ref(false)
/** a product’s id after “p ”, a family’s after “f ” */
const glue = ref('')
const role = ref<SecondRole>('rim')
const shareText = ref('')
const where = ref('')
const { attempt, clear } = useAttempt()
let opened: Pick<Procedure, 'second' | 'steps'> | null = null

const second = computed(() => props.procedure.second ?? null)
const products = computed(() =>
  bench
    .all('adhesive')
    .filter(({ id }) => id !== props.procedure.adhesive)
    .sort((x, y) => x.name.localeCompare(y.name)),
)
const others = families.filter(({ id }) => id !== 'unknown').sort((x, y) => x.name.localeCompare(y.name))
const setting = () => settingOf(bench, props.view.joint.brief, stampNow(), [])
/** What the advice says of the second glue on these faces. */
const advice = computed(() => (second.value ? adviceOnSecond(props.procedure, setting()) : null))
const tones = { fit: 'holds', caution: 'careful', block: 'fails' } as const
const verdictWords = { fit: 'suits', caution: 'careful', block: 'ruled out here' } as const
const deciding = computed(() => advice.value?.screening.reasons.find(({ verdict }) => verdict !== 'fit') ?? null)

function start() {
  const { second: was, steps } = props.procedure
  opened = { second: was, steps }
  clear()
  open.value = !open.value
  if (was) {
    glue.value = was.adhesive ? `p ${was.adhesive}` : `f ${was.family}`
    role.value = was.role
    where.value = was.where
  }
  shareText.value = was ? `${Math.round(100 * was.share)} %` : usualShare(role.value)
}
const usualShare = (of: SecondRole) => `${100 * secondRoles[of].share} %`

/** The steps follow what is added or left out; what the maker has written into them stays. */
function put(to: Second | null, what: string, before: Partial<Procedure>) {
  const around = setting()
  const steps = redrafted(
    props.procedure.steps,
    draftOf(props.procedure, around),
    draftOf({ ...props.procedure, second: to }, around),
  )
  emit('put', { second: to, steps }, what, before)
}
const keep = () =>
  attempt(() => {
    const [kind, id] = [glue.value.slice(0, 1), glue.value.slice(2)]
    if (!id) throw new CodedError('missing', 'glue', { field: 'The second glue', purpose: 'a procedure with two' })
    const product = kind === 'p' ? bench.get('adhesive', id) : null
    const typed = shareText.value.replace(/%\s*$/, '')
    const share = parseNumber(typed, { field: 'Its share of the faces', example: '50', unit: '%', least: 1, most: 100 })
    const family = product?.family ?? id
    const words = role.value === 'part' ? where.value.trim().slice(0, 80) : ''
    const to = { family, adhesive: product?.id ?? null, role: role.value, share: share / 100, where: words }
    put(to, `${glueName(bench, to)} as a second glue`, opened!)
    open.value = false
  })
const leaveOut = () => put(null, 'without its second glue', { second: second.value, steps: props.procedure.steps })
</script>

<template>
  <div class="second">
    <div v-if="second" class="said">
      <p>
        And <b>{{ glueName(bench, second) }}</b> {{ secondRoles[second.role].word
        }}{{ second.where ? `: ${second.where}` : '' }}, {{ percent(second.share) }} of the faces.
      </p>
      <p v-if="advice && advice.screening.verdict !== 'fit'" class="small">
        <VerdictMark :tone="tones[advice.screening.verdict]" :word="verdictWords[advice.screening.verdict]" />
        {{ deciding?.text }}
      </p>
    </div>
    <div v-if="!locked" class="acts">
      <v-btn class="quiet" :aria-expanded="open" @click="start"
        >{{ second ? 'Change the second glue' : 'Add a second glue'
        }}<span class="visually-hidden"> of {{ procedure.name }}</span></v-btn
      >
      <v-btn v-if="second" class="quiet" @click="leaveOut"
        >Leave the second glue out<span class="visually-hidden"> of {{ procedure.name }}</span></v-btn
      >
    </div>
    <form v-if="open && !locked" @submit.prevent="keep">
      <FieldPart class="wide" label="Second glue" name="glue">
        <select v-model="glue" class="plain">
          <option value="" disabled>choose one</option>
          <optgroup v-if="products.length" label="On the shelf">
            <option v-for="one in products" :key="one.id" :value="`p ${one.id}`">{{ one.name }}</option>
          </optgroup>
          <optgroup label="Other kinds">
            <option v-for="one in others" :key="one.id" :value="`f ${one.id}`">{{ one.name }}</option>
          </optgroup>
        </select>
      </FieldPart>
      <FieldPart class="wide" label="It goes on">
        <select v-model="role" class="plain" @change="shareText = usualShare(role)">
          <option v-for="one in secondRoleIds" :key="one" :value="one">{{ secondRoles[one].word }}</option>
        </select>
      </FieldPart>
      <FieldPart v-if="role === 'part'" class="wide" label="Which part">
        <input v-model="where" class="plain" maxlength="80" placeholder="the cover" />
      </FieldPart>
      <FieldPart label="Share of the faces" name="Its share of the faces" unit="%">
        <input v-model="shareText" class="plain" inputmode="decimal" />
      </FieldPart>
      <v-btn class="alt" type="submit">Glue with both</v-btn>
      <p class="mute small">{{ secondRoles[role].gloss }}.</p>
    </form>
    <ProblemLine />
  </div>
</template>

<style scoped>
.second,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
}
.said,
p {
  flex-basis: 100%;
}
.field {
  flex: 0 0 130px;
}
.wide {
  flex: 1 1 190px;
}
</style>
