import { IsEmail } from 'class-validator';
import { Text } from './bounded.js';

export class SignInRequest {
  @IsEmail({}, { message: 'must be an e-mail address' })
  @Text(254, 1)
  email: string;

  @Text(200, 1)
  password: string;
}

export interface WhoAmI {
  name: string;
  email: string;
  studio: { name: string; timeZone: string };
}
