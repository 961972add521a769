import { setLocale } from "yup";

/** What Yup says where a schema has no words of its own: the path stands in front, so only the reason is told. */
setLocale({
  mixed: {
    default: "is not valid",
    required: "is missing",
    notNull: "must not be null",
    defined: "is missing",
    notType: ({ type }: { type: string }) => `must be ${/^[aeiou]/.test(type) ? "an" : "a"} ${type}`,
    oneOf: ({ values }) => `must be one of ${values}`,
  },
  string: { max: "must be at most ${max} characters", min: "must be at least ${min} characters" },
  array: { max: "must have at most ${max} entries", min: "must have at least ${min} entries" },
});
