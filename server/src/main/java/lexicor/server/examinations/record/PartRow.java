package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;

/** A typed part as it is kept: exactly one of choice, measure and words is filled. */
@Embeddable
class PartRow {

    @Column(nullable = false)
    private String partKey;

    @Column(nullable = false)
    private String kind;

    private String choice;

    private Double measure;

    private String unit;

    private String words;

    @Column(nullable = false)
    private String position;

    private int repeatNumber;

    @Column(nullable = false)
    private String direction;

    protected PartRow() {
        // for the mapper
    }

    PartRow(PartJson part) {
        this.partKey = part.key();
        this.kind = part.choice() != null ? "CHOICE" : part.measure() != null ? "MEASURE" : "WORDS";
        this.choice = part.choice();
        this.measure = part.measure();
        this.unit = part.unit();
        this.words = part.text();
        this.position = part.position() == null ? "" : part.position();
        this.repeatNumber = part.repeat() == null ? 1 : part.repeat();
        this.direction = part.direction() == null ? "" : part.direction();
    }

    PartJson json() {
        return new PartJson(
                partKey,
                choice,
                measure,
                unit,
                words,
                position.isEmpty() ? null : position,
                repeatNumber == 1 ? null : repeatNumber,
                direction.isEmpty() ? null : direction);
    }
}
