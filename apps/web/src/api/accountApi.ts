import type {
  ChangePassword,
  ConfirmSecondFactor,
  NewSecondFactor,
  OwnSession,
  PasswordLinkOwner,
  RecoveryCodes,
} from '@keen/contract';
import {
  newSecondFactorSchema,
  ownSessionListSchema,
  passwordLinkOwnerSchema,
  recoveryCodesSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** One's own account: password, second factor, sessions; and the link by which one chooses a password. */
const accountApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    ownSessions: build.query<OwnSession[], void>({
      query: () => 'session/all',
      responseSchema: ownSessionListSchema,
      providesTags: ['OwnSessions'],
    }),
    endOtherSessions: build.mutation<unknown, void>({
      query: () => ({ url: 'session/others', method: 'DELETE' }),
      invalidatesTags: ['OwnSessions'],
    }),
    changePassword: build.mutation<unknown, ChangePassword>({
      query: (body) => ({ url: 'session/password', method: 'PUT', body }),
      invalidatesTags: ['OwnSessions'],
    }),
    startSecondFactor: build.mutation<NewSecondFactor, void>({
      query: () => ({ url: 'session/second-factor', method: 'POST' }),
      responseSchema: newSecondFactorSchema,
    }),
    confirmSecondFactor: build.mutation<RecoveryCodes, ConfirmSecondFactor>({
      query: (body) => ({ url: 'session/second-factor', method: 'PUT', body }),
      responseSchema: recoveryCodesSchema,
    }),
    dropSecondFactor: build.mutation<unknown, string>({
      query: (password) => ({
        url: 'session/second-factor/off',
        method: 'POST',
        body: { password },
      }),
      invalidatesTags: ['Session'],
    }),
    passwordLink: build.query<PasswordLinkOwner, string>({
      query: (token) => `password-links/${encodeURIComponent(token)}`,
      responseSchema: passwordLinkOwnerSchema,
    }),
    choosePassword: build.mutation<unknown, { token: string; password: string }>({
      query: ({ token, password }) => ({
        url: `password-links/${encodeURIComponent(token)}`,
        method: 'POST',
        body: { password },
      }),
    }),
  }),
});

export const {
  useOwnSessionsQuery,
  useEndOtherSessionsMutation,
  useChangePasswordMutation,
  useStartSecondFactorMutation,
  useConfirmSecondFactorMutation,
  useDropSecondFactorMutation,
  usePasswordLinkQuery,
  useChoosePasswordMutation,
} = accountApi;
