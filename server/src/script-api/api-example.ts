import { ApiBody } from '@nestjs/swagger';

/** Shows a question's class and an example of it in the API's document. */
export const apiExample = (type: new () => object, example: object) =>
  ApiBody({ type, examples: { example: { value: example } } });
