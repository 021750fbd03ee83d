package lexicor.core.catalogue;

import java.util.regex.Pattern;

/** The form that every catalogue name has. */
final class Slug {

    private static final Pattern FORM = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");

    private Slug() {}

    static void require(String what, String value) {
        if (value == null || value.length() > 60 || !FORM.matcher(value).matches()) {
            throw new IllegalArgumentException(what + " '" + value
                    + "' is not a name; allowed: lower-case letters, digits and hyphens, at most 60");
        }
    }
}
