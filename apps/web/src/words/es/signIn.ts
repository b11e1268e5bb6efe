import type { Translation } from '@keen/core/screens';
import type { signIn as english } from '../en/signIn.ts';

export const signIn: Translation<typeof english> = {
  choosePasswordPage: {
    checkingTheLink: 'Comprobando el enlace…',
    thisLinkDoesNot: 'Este enlace no funciona.',
    askTheLeadOf: '{{text}}. Pida otro al responsable de su taller.',
    chooseYourPassword: 'Elija su contraseña',
    youSignInWith: '{{name}}, {{shopName}}. Entra con {{email}}.',
    saved: 'Guardada.',
    signIn: 'Entrar',
    password: 'Contraseña',
    atLeastCharactersThree: 'Al menos {{leastPassword}} caracteres; bastan tres o cuatro palabras',
    save: 'Guardar',
  },
  passwordForm: {
    email: 'Correo',
    anEmailAddressSuch: 'Una dirección de correo, por ejemplo nombre@taller.example',
    password: 'Contraseña',
    yourPassword: 'Su contraseña',
    codeOfYourSecond: 'Código de su segundo factor',
    sixDigitsFromThe: 'Seis dígitos de la aplicación, o un código de recuperación',
    signIn: 'Entrar',
  },
  setUpForm: {
    nameOfTheShop: 'Nombre del taller',
    theShopsName: 'El nombre del taller',
    town: 'Ciudad',
    atMost80Characters: 'Como máximo 80 caracteres',
    yourName: 'Su nombre',
    email: 'Correo',
    anEmailAddress: 'Una dirección de correo',
    password: 'Contraseña',
    atLeastTenCharacters: 'Al menos diez caracteres',
    setUpYourShop: 'Configure su taller',
    youBecomeItsLead:
      'Usted será su responsable. Esta página se ofrece una sola vez, mientras no haya taller.',
    setUpAndCome: 'Configurar y entrar',
  },
  signInPage: {
    keenGroove: 'Keen Groove',
    twelveDepthsOneHonest: 'Doce profundidades. Una respuesta honesta.',
    whatWoreTheseTires:
      'Qué gastó estos neumáticos, cuán seguro es eso y qué hacer antes de montar otros nuevos.',
    lookingForTheShop: 'Buscando el taller…',
    orWithAPassword: 'o con contraseña',
    aMadeUpShop: 'Un taller inventado con personas y coches inventados. Entre como uno de ellos.',
  },
};
