import { object, string } from 'yup';

export const signInSchema = object({
	email: string().required('Your e-mail, please').max(254),
	password: string().required('Your password, please').max(128)
});

export const signUpSchema = object({
	name: string().required('Your name, please').max(120).matches(/\S/, 'Your name, please'),
	email: string().required('Your e-mail, please').email('This is not an e-mail address').max(254),
	password: string()
		.required('A password, please')
		.min(10, 'At least 10 characters')
		.max(128, 'At most 128 characters')
});
