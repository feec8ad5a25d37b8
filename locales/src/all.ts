import type { Language } from '@dewpot/core/units';
import type { Entry, Lookup } from './speaker.js';
import en_ambient from '../en/ambient.json' with { type: 'json' };
import en_assembly from '../en/assembly.json' with { type: 'json' };
import en_bench from '../en/bench.json' with { type: 'json' };
import en_calendar from '../en/calendar.json' with { type: 'json' };
import en_care from '../en/care.json' with { type: 'json' };
import en_casts from '../en/casts.json' with { type: 'json' };
import en_curing from '../en/curing.json' with { type: 'json' };
import en_demo from '../en/demo.json' with { type: 'json' };
import en_files from '../en/files.json' with { type: 'json' };
import en_findings from '../en/findings.json' with { type: 'json' };
import en_glossary from '../en/glossary.json' with { type: 'json' };
import en_judging from '../en/judging.json' with { type: 'json' };
import en_materials from '../en/materials.json' with { type: 'json' };
import en_measuring from '../en/measuring.json' with { type: 'json' };
import en_meshes from '../en/meshes.json' with { type: 'json' };
import en_mixes from '../en/mixes.json' with { type: 'json' };
import en_money from '../en/money.json' with { type: 'json' };
import en_moulds from '../en/moulds.json' with { type: 'json' };
import en_paper from '../en/paper.json' with { type: 'json' };
import en_patterns from '../en/patterns.json' with { type: 'json' };
import en_photos from '../en/photos.json' with { type: 'json' };
import en_pours from '../en/pours.json' with { type: 'json' };
import en_sealing from '../en/sealing.json' with { type: 'json' };
import en_server from '../en/server.json' with { type: 'json' };
import en_shelf from '../en/shelf.json' with { type: 'json' };
import en_shell from '../en/shell.json' with { type: 'json' };
import en_simulation from '../en/simulation.json' with { type: 'json' };
import en_solids from '../en/solids.json' with { type: 'json' };
import en_tints from '../en/tints.json' with { type: 'json' };
import en_today from '../en/today.json' with { type: 'json' };
import en_ui from '../en/ui.json' with { type: 'json' };
import en_units from '../en/units.json' with { type: 'json' };
import en_weighing from '../en/weighing.json' with { type: 'json' };
import en_workshop from '../en/workshop.json' with { type: 'json' };
import es_ambient from '../es/ambient.json' with { type: 'json' };
import es_assembly from '../es/assembly.json' with { type: 'json' };
import es_bench from '../es/bench.json' with { type: 'json' };
import es_calendar from '../es/calendar.json' with { type: 'json' };
import es_care from '../es/care.json' with { type: 'json' };
import es_casts from '../es/casts.json' with { type: 'json' };
import es_curing from '../es/curing.json' with { type: 'json' };
import es_demo from '../es/demo.json' with { type: 'json' };
import es_files from '../es/files.json' with { type: 'json' };
import es_findings from '../es/findings.json' with { type: 'json' };
import es_glossary from '../es/glossary.json' with { type: 'json' };
import es_judging from '../es/judging.json' with { type: 'json' };
import es_materials from '../es/materials.json' with { type: 'json' };
import es_measuring from '../es/measuring.json' with { type: 'json' };
import es_meshes from '../es/meshes.json' with { type: 'json' };
import es_mixes from '../es/mixes.json' with { type: 'json' };
import es_money from '../es/money.json' with { type: 'json' };
import es_moulds from '../es/moulds.json' with { type: 'json' };
import es_paper from '../es/paper.json' with { type: 'json' };
import es_patterns from '../es/patterns.json' with { type: 'json' };
import es_photos from '../es/photos.json' with { type: 'json' };
import es_pours from '../es/pours.json' with { type: 'json' };
import es_sealing from '../es/sealing.json' with { type: 'json' };
import es_server from '../es/server.json' with { type: 'json' };
import es_shelf from '../es/shelf.json' with { type: 'json' };
import es_shell from '../es/shell.json' with { type: 'json' };
import es_simulation from '../es/simulation.json' with { type: 'json' };
import es_solids from '../es/solids.json' with { type: 'json' };
import es_tints from '../es/tints.json' with { type: 'json' };
import es_today from '../es/today.json' with { type: 'json' };
import es_ui from '../es/ui.json' with { type: 'json' };
import es_units from '../es/units.json' with { type: 'json' };
import es_weighing from '../es/weighing.json' with { type: 'json' };
import es_workshop from '../es/workshop.json' with { type: 'json' };

/** Every sentence of every language, by its stage and its name: for a server and for tests. A browser loads a stage when it is asked for. */
export const catalogues: Readonly<Record<Language, Readonly<Record<string, Readonly<Record<string, Entry>>>>>> = {
  en: {
    ambient: en_ambient,
    assembly: en_assembly,
    bench: en_bench,
    calendar: en_calendar,
    care: en_care,
    casts: en_casts,
    curing: en_curing,
    demo: en_demo,
    files: en_files,
    findings: en_findings,
    glossary: en_glossary,
    judging: en_judging,
    materials: en_materials,
    measuring: en_measuring,
    meshes: en_meshes,
    mixes: en_mixes,
    money: en_money,
    moulds: en_moulds,
    paper: en_paper,
    patterns: en_patterns,
    photos: en_photos,
    pours: en_pours,
    sealing: en_sealing,
    server: en_server,
    shelf: en_shelf,
    shell: en_shell,
    simulation: en_simulation,
    solids: en_solids,
    tints: en_tints,
    today: en_today,
    ui: en_ui,
    units: en_units,
    weighing: en_weighing,
    workshop: en_workshop,
  },
  es: {
    ambient: es_ambient,
    assembly: es_assembly,
    bench: es_bench,
    calendar: es_calendar,
    care: es_care,
    casts: es_casts,
    curing: es_curing,
    demo: es_demo,
    files: es_files,
    findings: es_findings,
    glossary: es_glossary,
    judging: es_judging,
    materials: es_materials,
    measuring: es_measuring,
    meshes: es_meshes,
    mixes: es_mixes,
    money: es_money,
    moulds: es_moulds,
    paper: es_paper,
    patterns: es_patterns,
    photos: es_photos,
    pours: es_pours,
    sealing: es_sealing,
    server: es_server,
    shelf: es_shelf,
    shell: es_shell,
    simulation: es_simulation,
    solids: es_solids,
    tints: es_tints,
    today: es_today,
    ui: es_ui,
    units: es_units,
    weighing: es_weighing,
    workshop: es_workshop,
  },
};

/** Finds the sentences of a language; English where one is missing, which is told. */
export function lookupIn(language: Language, missing: (key: string) => void = () => undefined): Lookup {
  return (key) => {
    const [stage = '', name = ''] = key.split('.');
    const own = catalogues[language][stage]?.[name];
    if (own === undefined) missing(`${language} ${key}`);
    return own ?? catalogues.en[stage]?.[name];
  };
}
