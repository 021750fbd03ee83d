package lexicor.server.evidence;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.Evidence;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Interpreter;
import lexicor.core.weighing.Weighing;

/** One revision of the evidence, with everything that weighs by it. Never changes. */
public final class Figures {

    private final Evidence evidence;
    private final Weighing weighing;
    private final Weighing points;
    private final Interpreter interpreter;

    Figures(Catalogue catalogue, Evidence evidence) {
        this.evidence = evidence;
        this.weighing = new Weighing(catalogue, evidence, WeighingSettings.USUAL);
        this.points = weighing.withoutRanges();
        this.interpreter = new Interpreter(catalogue, evidence);
    }

    public String revision() {
        return evidence.revision();
    }

    public Evidence evidence() {
        return evidence;
    }

    public Weighing weighing() {
        return weighing;
    }

    /** Weighs without the work of drawing: every range is the point itself. */
    public Weighing points() {
        return points;
    }

    /** Says in sentences what an answer means. */
    public Interpreter interpreter() {
        return interpreter;
    }
}
