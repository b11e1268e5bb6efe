export const ROLE_WORDS = { advisor: 'Advisor', technician: 'Technician', lead: 'Lead' } as const;
