import type { Translation } from '@keen/core/screens';
import type { system as english } from '../en/system.ts';

export const system: Translation<typeof english> = {
  page: {
    title: 'Sistema',
    backToToday: 'volver a hoy',
    loading: 'Cargando',
    onlyTheLeadSees: 'Solo el responsable ve cómo está esta instalación.',
    tryAgain: 'Intentar otra vez',
    allWell: 'Todo está bien.',
    lookAt_one: 'Hay una cosa que mirar.',
    lookAt_other: 'Hay {{count}} cosas que mirar.',
    asOf: 'A las {{time}}; se actualiza cada medio minuto.',
    backups: 'Copias de seguridad',
    newest: 'La más reciente',
    newestOf: '{{at}}, {{size}}',
    every_one: 'Cada hora',
    every_other: 'Cada {{count}} horas',
    howOften: 'Frecuencia',
    none: 'aún ninguna',
    notHere:
      'No las hace este servidor. Asegúrese de que alguien las hace y de que ha probado una.',
    space: 'Espacio libre',
    spaceOf: '{{free}} de {{total}}',
    work: 'Trabajo',
    diagnosesWaiting: 'Diagnósticos en espera',
    waitingSince: '{{count}}, el primero desde hace {{seconds}} s',
    workers: 'Procesos de fondo',
    jobsWaiting: 'Tareas de fondo en espera',
    jobsFailed: 'Abandonadas en el último día',
    connections: 'Conexiones a la base de datos',
    connectionsOf: '{{busy}} ocupadas, {{idle}} libres, {{waiting}} en espera',
    streams: 'Páginas y aparatos a la escucha',
    errors: 'Errores desde el arranque',
    onServer: 'En el servidor',
    onPages: 'En las páginas',
    lastOf: '{{count}}, el último {{at}}',
    versions: 'Versiones',
    app: 'Keen Groove',
    node: 'Node.js',
    database: 'PostgreSQL',
    databaseSize: 'Tamaño de la base de datos',
    running: 'En marcha desde',
  },
  concern: {
    noBackup: 'Aún no hay copia de seguridad, aunque el servidor lleva más de una hora en marcha.',
    oldBackup: 'La copia más reciente es del {{at}}: no debería tener más de {{count}} horas.',
    lowSpace:
      'Solo quedan libres {{free}} de {{total}} en el disco. Cuando se llena, no hay más copias.',
    longQueue: 'Un diagnóstico lleva {{seconds}} s en espera. Quizá alguien envía muchos casos.',
    noWorker:
      'No hay ningún proceso de fondo en marcha: lotes, aprendizaje y plazos de conservación esperan.',
    lateWork_one: 'El trabajo de fondo lleva {{count}} minuto de retraso. Un proceso más ayudaría.',
    lateWork_other:
      'El trabajo de fondo lleva {{count}} minutos de retraso. Un proceso más ayudaría.',
    failedWork_one:
      'Se abandonó {{count}} tarea de fondo en el último día. El registro dice por qué.',
    failedWork_other:
      'Se abandonaron {{count}} tareas de fondo en el último día. El registro dice por qué.',
    noConnection: '{{count}} peticiones esperan una conexión a la base de datos.',
    serverErrors: 'El servidor tuvo un error en el último día. Su registro dice dónde.',
    pageErrors: 'Una página falló en el último día. El registro del servidor dice dónde.',
  },
};
