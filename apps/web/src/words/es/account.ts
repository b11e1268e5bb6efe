import type { Translation } from '@keen/core/screens';
import type { account as english } from '../en/account.ts';

export const account: Translation<typeof english> = {
  accountPage: {
    backToToday: 'volver a Hoy',
    yourAccount: 'Su cuenta',
    yourShopAsksLeads:
      'Su taller pide a los responsables un segundo factor. Configúrelo aquí; después se abre todo lo demás.',
    demoStaffSignIn: 'El personal de demostración entra con un toque y no tiene contraseña.',
  },
  ownSessions: {
    whereYouAreSigned: 'Dónde tiene la sesión abierta',
    sessions: 'Sesiones',
    thisDevice: 'este dispositivo',
    signOutEverywhereElse: 'Cerrar las demás sesiones',
    youAreSignedIn: 'Solo tiene la sesión abierta aquí.',
    since: 'desde {{since}}',
    sinceFrom: 'desde {{since}}, desde {{address}}',
  },
  passwordChange: {
    changePassword: 'Cambiar la contraseña',
    password: 'Contraseña',
    passwordNow: 'Contraseña actual',
    newPassword: 'Contraseña nueva',
    atLeastCharactersThree: 'Al menos {{leastPassword}} caracteres; bastan tres o cuatro palabras',
    changedYourOtherSessions: 'Cambiada. Se cerraron sus otras sesiones.',
  },
  secondFactor: {
    secondFactor: 'Segundo factor',
    aCodeFromAn:
      'Un código de una aplicación de autenticación en su teléfono, que se pide junto con la contraseña. Quien averigüe su contraseña seguirá sin poder entrar.',
    setItUp: 'Configurarlo',
    scanThisWithThe:
      'Escanee esto con la aplicación, o escriba la clave en ella; luego escriba el código que muestre.',
    qrCodeOfThe: 'Código QR de la clave',
    codeOfSixDigits: 'Código de seis dígitos',
    thatIsNotThe: 'Ese no es el código que se muestra ahora; revise el reloj del teléfono',
    turnItOn: 'Activarlo',
    itIsOnWrite:
      'Está activado. Anote estos códigos o imprímalos: cada uno permite entrar una vez si se pierde el teléfono. No se vuelven a mostrar.',
    recoveryCodes: 'Códigos de recuperación',
    print: 'Imprimir',
    iHaveThem: 'Ya los tengo',
    itIsOn: 'Está activado.',
    yourPassword: 'Su contraseña',
    turnItOff: 'Desactivarlo',
    cancel: 'Cancelar',
  },
  deviceOf: {
    ipadOrIphone: 'iPad o iPhone',
    on: '{{browser}} en {{system}}',
    unknownBrowser: 'Navegador desconocido',
  },
};
