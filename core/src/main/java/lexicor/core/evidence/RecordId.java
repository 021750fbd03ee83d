package lexicor.core.evidence;

import java.util.regex.Pattern;

/** Key of an accuracy record, such as {@code E025}. */
public record RecordId(String value) {

    private static final Pattern FORM = Pattern.compile("[EC]\\d{3,5}");

    public RecordId {
        if (value == null || !FORM.matcher(value).matches()) {
            throw new IllegalArgumentException(
                    "record '" + value + "' is not a record key; allowed: E or C and three to five digits");
        }
    }

    public static RecordId of(String value) {
        return new RecordId(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
