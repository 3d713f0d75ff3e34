import type { ComponentProps } from 'react';

/**
 * A form that sends nothing by itself. Pressed before the page’s program has taken it over, another would
 * load the page anew with its fields in the address, a password too, and what was typed would be gone.
 */
export const Form = (props: ComponentProps<'form'>) => <form method="dialog" {...props} />;
