package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** That somebody opened a signed examination again, and why. */
@Entity
@Immutable
@Table(name = "amendment")
public class AmendmentRow extends VersionStep {

    @Column(nullable = false)
    private String reason;

    protected AmendmentRow() {
        // for the mapper
    }

    public AmendmentRow(UUID examination, int version, By by, String reason) {
        super(examination, version, by);
        this.reason = reason;
    }

    public String reason() {
        return reason;
    }
}
