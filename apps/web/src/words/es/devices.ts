import type { Translation } from '@keen/core/screens';
import type { devices as english } from '../en/devices.ts';

export const devices: Translation<typeof english> = {
  gaugeBar: {
    thisBrowserHasNo: 'Este navegador no tiene puerto serie. Un medidor que teclea no lo necesita.',
    noPortWasChosen: 'No se eligió ningún puerto.',
    connectTheGauge: 'Conectar el medidor',
    disconnect: 'Desconectar',
    serialLine: 'Puerto serie',
    aGaugeThatTypes: 'Un medidor que teclea, por ejemplo 5.30 e Intro, funciona tal cual.',
    playIt: 'Simularlo',
    callingTheGauge: 'Llamando al medidor…',
    theGaugeBrokeOff:
      'El medidor se interrumpió; se le vuelve a llamar. Mientras tanto valen las teclas.',
    theSerialLineBroke:
      'El puerto serie se interrumpió. Enchúfelo, desconecte y conecte de nuevo; mientras tanto valen las teclas.',
    itsBatteryIsLow: '{{device}}: queda poca batería, {{percent}} %.',
    isReadySetIt: '{{device}} está listo: colóquelo y pulse.',
  },
  typeText: {
    enter: 'Intro',
  },
  useGauge: {
    theGaugeOnThe: 'El medidor del puerto serie',
  },
};
