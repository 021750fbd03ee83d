package lexicor.core.findings;

import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;

/** A finding that lies on the table: seen, not weighed for this condition, and why. */
public record Unweighed(TestId test, Reading.Result result, String phrase, String because) {}
