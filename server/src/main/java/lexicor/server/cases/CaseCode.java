package lexicor.server.cases;

import java.math.BigInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A case code that ends in a number, so that there is always a next one.
 *
 * @param stem what stands before the number
 * @param number not negative
 * @param digits how many the number is written with at least
 */
record CaseCode(String stem, BigInteger number, int digits) {

    /** The most characters of a code. */
    static final int LONGEST = 30;

    private static final Pattern NUMBER_AT_END = Pattern.compile("^(.*?)([0-9]+)$", Pattern.DOTALL);

    /**
     * The code after another, whatever that one looks like. One that leaves no room for a number is followed by a plain
     * one.
     *
     * @param cases how many cases there are
     */
    static CaseCode after(String code, long cases) {
        Matcher number = NUMBER_AT_END.matcher(code);
        CaseCode next = number.matches()
                ? new CaseCode(
                                number.group(1),
                                new BigInteger(number.group(2)),
                                number.group(2).length())
                        .next()
                : new CaseCode(code + "-", BigInteger.ONE, 1);
        return next.text().length() <= LONGEST ? next : new CaseCode("C-", BigInteger.valueOf(cases + 1), 4);
    }

    CaseCode next() {
        return new CaseCode(stem, number.add(BigInteger.ONE), digits);
    }

    String text() {
        String written = number.toString();
        return stem + "0".repeat(Math.max(0, digits - written.length())) + written;
    }
}
