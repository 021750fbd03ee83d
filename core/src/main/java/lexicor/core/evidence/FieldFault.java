package lexicor.core.evidence;

/**
 * What is wrong with one field of an entry.
 *
 * @param field as a draft names it, such as "sensitivity"
 * @param says the value and what is allowed
 */
public record FieldFault(String field, String says) {}
