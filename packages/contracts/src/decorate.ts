/** One decorator out of several. */
export function applyDecorators(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const decorator of decorators) decorator(target, key);
  };
}
