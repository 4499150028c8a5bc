<script setup lang="ts">
import { computed, ref } from 'vue'
import { materialClasses, materialClassOf } from '../../core/knowledge/materials'
import { hazardsOf } from '../../core/knowledge/hazards'
import { declaredWords } from '../../core/knowledge/labelFactWords'
import { showMoney } from '../../core/quantities/money'
import type { Adhesive, Material } from '../../core/records/shelf'
import { useBench } from '../bench/store'
import { lasting } from '../look/times'
import { productFamily } from '../../core/situation/label'
import { packInUse } from '../../core/situation/packs'
import { now } from '../bench/clock'
import GlueEditor from './GlueEditor.vue'
import HandCalibration from './HandCalibration.vue'
import HouseRules from './HouseRules.vue'
import GaugeList from './GaugeList.vue'
import InstrumentForm from './InstrumentForm.vue'
import { keepMaterial } from './shelfWork'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** What its label declares, in its own words. */
const declared = ({ label }: Adhesive) => declaredWords(label.facts ?? {}).join(', ')
const bench = useBench()
const glues = computed(() => bench.all('adhesive').sort((x, y) => x.name.localeCompare(y.name)))
const materials = computed(() => bench.all('material').sort((x, y) => x.name.localeCompare(y.name)))
const editing = ref<string | null>(null)
const packOf = (adhesive: Adhesive) => packInUse(bench.of('stock', adhesive.id), now())
const times = productFamily

const materialForm = ref({ name: '', classId: 'foam-eva', thickness: '' })
const changing = ref<Material | null>(null)
const { attempt } = useAttempt()
function change(material: Material) {
  changing.value = material
  materialForm.value = {
    name: material.name,
    classId: material.classId,
    thickness: material.thicknessMm ? `${material.thicknessMm} mm` : '',
  }
}
async function keep() {
  await attempt(async () => {
    if (!(await keepMaterial(bench, materialForm.value, changing.value))) return
    changing.value = null
    materialForm.value = { name: '', classId: materialForm.value.classId, thickness: '' }
  })
}
/** What a pack holds and costs; what is not known is said so. */
const packWords = ({ packSize, packUnit, packPrice }: Adhesive) =>
  [
    packSize === null ? 'pack size not known' : `${packSize} ${packUnit}`,
    packPrice === null ? 'price not known' : showMoney(packPrice, bench.bench?.currency),
  ].join(', ')
</script>

<template>
  <main id="work" class="shelf" tabindex="-1">
    <h1>Shelf</h1>
    <section aria-labelledby="glues">
      <div class="title">
        <h2 id="glues">Glues</h2>
        <v-btn v-if="editing !== 'new'" class="go" @click="editing = 'new'">Put a glue on the shelf</v-btn>
      </div>
      <GlueEditor v-if="editing === 'new'" :adhesive="null" :pack="null" @done="editing = null" />
      <p v-if="!glues.length && editing !== 'new'" class="mute">
        Nothing stands here yet. Put your own glues here with pack and price: the shortlist shows them first, and costs
        are counted with them.
      </p>
      <ul>
        <li v-for="glue in glues" :id="glue.id" :key="glue.id" class="glue">
          <GlueEditor v-if="editing === glue.id" :adhesive="glue" :pack="packOf(glue)" @done="editing = null" />
          <template v-else>
            <div>
              <h3>{{ glue.name }}</h3>
              <p class="mute small">
                {{ times(glue).name
                }}<template v-if="glue.aliases.length">, also {{ glue.aliases.join(', ') }}</template>
              </p>
            </div>
            <div class="num">
              {{ packWords(glue) }}
              <p class="level" :title="`${Math.round((packOf(glue)?.left ?? 1) * 100)} % left`">
                <i :style="{ width: `${(packOf(glue)?.left ?? 1) * 100}%` }" /><span class="visually-hidden"
                  >{{ Math.round((packOf(glue)?.left ?? 1) * 100) }} % left</span
                >
              </p>
            </div>
            <p class="small num">
              hold {{ lasting(times(glue).holdS) }}, full cure {{ lasting(times(glue).fullS)
              }}<template v-if="Number.isFinite(times(glue).serviceMaxC)"
                >, to {{ Math.round(times(glue).serviceMaxC) }} °C</template
              >
              <span v-if="Object.keys(glue.label).length" class="mute"> · by its label</span>
            </p>
            <p class="small careful">
              <span v-if="declared(glue)" class="mute">{{ declared(glue) }}<br /></span>
              {{
                hazardsOf(times(glue).hazards)
                  .map((hazard) => hazard.id.replace(/-/g, ' '))
                  .join(', ')
              }}
            </p>
            <div class="acts">
              <v-btn class="quiet" :aria-label="`Change ${glue.name}`" @click="editing = glue.id">Change</v-btn>
            </div>
          </template>
        </li>
      </ul>
    </section>
    <section aria-labelledby="materials">
      <h2 id="materials">Own materials</h2>
      <p class="mute">
        The {{ materialClasses.length }} classes of the tables are always there. Add what you call by another name, or
        have in one thickness.
      </p>
      <ul>
        <li v-for="material in materials" :key="material.id" class="material">
          <b>{{ material.name }}</b>
          <span class="mute"
            >{{ materialClassOf(material.classId).name
            }}<template v-if="material.thicknessMm">, {{ material.thicknessMm }} mm</template></span
          >
          <div class="acts">
            <v-btn class="quiet" :aria-label="`Change ${material.name}`" @click="change(material)">Change</v-btn>
          </div>
        </li>
      </ul>
      <form class="add" @submit.prevent="keep">
        <FieldPart label="What you call it" name="name">
          <input v-model="materialForm.name" class="plain" placeholder="Wing cloth, red" maxlength="80" />
        </FieldPart>
        <FieldPart label="It is a">
          <select v-model="materialForm.classId" class="plain">
            <option v-for="one in materialClasses" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </FieldPart>
        <FieldPart label="Thickness" name="thickness">
          <input v-model="materialForm.thickness" class="plain" placeholder="0.2 mm" />
        </FieldPart>
        <v-btn class="alt" type="submit">{{ changing ? 'Keep the change' : 'Add this material' }}</v-btn>
        <v-btn v-if="changing" class="quiet" @click="changing = null">Leave it</v-btn>
      </form>
      <ProblemLine />
    </section>
    <HouseRules />
    <HandCalibration />
    <InstrumentForm />
    <GaugeList />
  </main>
</template>

<style scoped>
.shelf {
  padding: 24px 28px 60px;
  max-width: 1120px;
  display: grid;
  gap: 30px;
}
.shelf > * {
  min-width: 0;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding-bottom: 10px;
}
.glue {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) 130px minmax(0, 1.2fr) minmax(0, 1.4fr) auto;
  gap: 8px 18px;
  align-items: center;
  padding: 11px 0;
  border-top: 1px solid var(--line);
}
.glue > .editor {
  grid-column: 1 / -1;
}
.level {
  height: 7px;
  border: 1px solid var(--tick);
  margin-top: 5px;
}
.level i {
  display: block;
  height: 100%;
  background: var(--tick);
}
.material {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 2fr) auto;
  gap: 14px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin-top: 12px;
}
.add .field {
  flex: 1 1 170px;
}
@media (max-width: 900px) {
  .glue {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .glue > p {
    grid-column: 1 / -1;
  }
}
@media (max-width: 700px) {
  .shelf {
    padding: 18px 16px 40px;
  }
}
</style>
