<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { lazyPart } from '../look/piece'
import { useBench } from '../bench/store'
import { useFinder } from './finder'
import HeadTimer from './HeadTimer.vue'

// What is opened now and then is loaded when it is, with what opens it.
const HeadDrop = lazyPart(() => import('./HeadDrop.vue'))
const RoomForm = lazyPart(() => import('./RoomForm.vue'))
const HeadMenu = lazyPart(() => import('./HeadMenu.vue'))
const FindDialog = lazyPart(() => import('./FindDialog.vue'))
const emit = defineEmits<{ keys: [] }>()
const bench = useBench()
const finder = useFinder()
const saved = computed(() => (bench.save.failure || bench.save.stranded.length ? 'not saved' : 'saved'))

const roomOpen = ref(false)
const menuOpen = ref(false)
const wanted = ref({ room: false, menu: false })
const roomButton = useTemplateRef<HTMLElement>('roomButton')
const menuButton = useTemplateRef<HTMLElement>('menuButton')
function toggle(which: 'room' | 'menu') {
  wanted.value[which] = true
  const open = which === 'room' ? roomOpen : menuOpen
  open.value = !open.value
}
</script>

<template>
  <header class="head no-print">
    <router-link class="name" :to="{ name: 'start' }" aria-label="Paste Bench, the build at a glance">
      <svg viewBox="0 0 46 22" width="40" height="20" aria-hidden="true" focusable="false">
        <path d="M1 2H29V8H1Z M17 13H45V19H17Z" fill="none" stroke="currentColor" stroke-width="1.6" />
        <path d="M17 8H29V13H17Z" fill="var(--glue)" />
      </svg>
      <b>Paste Bench</b>
    </router-link>
    <router-link class="bench" :to="{ name: 'start' }">{{ bench.bench?.name }}</router-link>
    <span v-if="bench.bench?.kind === 'demo'" class="demo">demo bench</span>
    <span class="gap" />
    <HeadTimer class="bit" />
    <button
      ref="roomButton"
      type="button"
      class="bit num"
      aria-haspopup="dialog"
      :aria-expanded="roomOpen"
      @click="toggle('room')"
    >
      <span class="visually-hidden">Room climate: </span
      ><template v-if="bench.bench?.room"
        >{{ bench.bench.room.tempC }} °C · {{ bench.bench.room.rh }} %<span class="roomy"> humidity</span
        ><template v-if="bench.bench.room.from === 'simulated'"> · simulated</template></template
      >
      <template v-else>Room?</template>
    </button>
    <HeadDrop v-if="wanted.room" v-model="roomOpen" :button="roomButton"
      ><RoomForm @done="roomOpen = false"
    /></HeadDrop>
    <span class="bit saved" :class="{ bad: bench.save.failure }" :data-stored="bench.save.stored">{{ saved }}</span>
    <button
      type="button"
      class="bit"
      :disabled="!bench.undoable"
      :title="bench.undoable ? `Take back: ${bench.undoable.label}` : 'Nothing to take back'"
      @click="bench.undo()"
    >
      Undo
    </button>
    <button
      type="button"
      class="bit wide"
      :disabled="!bench.redoable"
      :title="bench.redoable ? `Do again: ${bench.redoable.label}` : 'Nothing to do again'"
      @click="bench.redo()"
    >
      Redo
    </button>
    <button type="button" class="bit wide" @click="finder.open = true">Find <kbd>/</kbd></button>
    <router-link class="bit" :to="{ name: 'shelf' }">Shelf</router-link>
    <router-link class="bit wide" :to="{ name: 'evidence' }">Evidence</router-link>
    <button
      ref="menuButton"
      type="button"
      class="bit"
      aria-label="Menu"
      aria-haspopup="dialog"
      :aria-expanded="menuOpen"
      @click="toggle('menu')"
    >
      Menu
    </button>
    <HeadDrop v-if="wanted.menu" v-model="menuOpen" :button="menuButton">
      <HeadMenu @done="menuOpen = false" @keys="emit('keys')" />
    </HeadDrop>
    <FindDialog v-if="finder.open" />
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 56px;
  padding: 6px 20px;
  position: relative;
  color: var(--mat-ink);
  background-color: var(--mat);
  background-image:
    linear-gradient(var(--mat-rule) 1px, transparent 1px), linear-gradient(90deg, var(--mat-rule) 1px, transparent 1px);
  background-size: 14px 14px;
}
/* the corner marks of a cutting mat */
.head::before,
.head::after {
  content: '';
  position: absolute;
  bottom: 5px;
  width: 8px;
  height: 8px;
  border: solid #ffffff55;
  border-width: 0 0 1px 1px;
  left: 5px;
}
.head::after {
  left: auto;
  right: 5px;
  border-width: 0 1px 1px 0;
}
.name {
  display: flex;
  align-items: center;
  gap: 12px;
  text-decoration: none;
  font-size: 1.1875rem;
  white-space: nowrap;
}
.bench {
  text-decoration: none;
  border-left: 1px solid #ffffff55;
  padding-left: 14px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 60px;
}
.demo {
  font-size: 0.8125rem;
  border: 1px dashed #ffffff88;
  border-radius: 3px;
  padding: 1px 6px;
  white-space: nowrap;
}
.gap {
  flex: 1;
}
.bit {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  border: 1px solid #ffffff40;
  border-radius: var(--radius);
  padding: 3px 10px;
  background: var(--mat-deep);
  font-size: 0.9375rem;
  text-decoration: none;
  white-space: nowrap;
  color: inherit;
}
button.bit {
  cursor: pointer;
}
.bit:disabled {
  color: #a9c2bb;
  cursor: default;
  border-style: dashed;
}
.saved {
  border-color: transparent;
  background: transparent;
  padding: 3px 4px;
}
.saved.bad {
  background: #fff;
  color: #b3261e;
  font-weight: 700;
  padding: 3px 10px;
}
kbd {
  margin: 0;
}
@media (max-width: 1360px) {
  .roomy {
    display: none;
  }
}
@media (max-width: 1060px) {
  .wide {
    display: none;
  }
}
@media (max-width: 900px) {
  .head {
    flex-wrap: wrap;
  }
  .name b,
  .demo {
    display: none;
  }
}
@media (max-width: 900px), (pointer: coarse) {
  .bit,
  .name,
  .bench {
    min-height: 44px;
  }
  .name {
    min-width: 44px;
  }
  .bench {
    align-content: center;
  }
}
@media (max-width: 700px) {
  .head {
    padding: 6px 12px;
    gap: 6px;
  }
  .bench {
    border: 0;
    padding-left: 0;
    flex: 1 1 40%;
  }
  .gap {
    display: none;
  }
}
</style>
