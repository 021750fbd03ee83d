package lexicor.server.examinations.record;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.core.examination.Side;
import org.hibernate.annotations.Immutable;

/** An attempt as it is kept. Rows are only ever added. */
@Entity
@Immutable
@Table(name = "attempt")
class AttemptRow {

    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "command_id")
    private CommandRow command;

    @SuppressWarnings("unused") // a column, read by queries alone
    private int ordinal;

    @Column(name = "test_id", nullable = false)
    private String test;

    @Column(nullable = false)
    private String variant;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, columnDefinition = "varchar(10)")
    private Side side;

    private int tryNumber;

    @ElementCollection
    @CollectionTable(name = "attempt_supersedes", joinColumns = @JoinColumn(name = "attempt_id"))
    @Column(name = "superseded_id")
    private Set<UUID> supersedes = new HashSet<>();

    @ElementCollection
    @CollectionTable(name = "attempt_part", joinColumns = @JoinColumn(name = "attempt_id"))
    @OrderColumn(name = "ordinal")
    private List<PartRow> parts = new ArrayList<>();

    protected AttemptRow() {
        // for the mapper
    }

    AttemptRow(CommandRow command, int ordinal, AttemptJson attempt) {
        this.id = attempt.id();
        this.command = command;
        this.ordinal = ordinal;
        this.test = attempt.testId();
        this.variant = attempt.variant();
        this.side = attempt.side();
        this.tryNumber = attempt.tryNumber();
        this.supersedes.addAll(attempt.supersedes());
        attempt.parts().forEach(part -> parts.add(new PartRow(part)));
    }

    UUID id() {
        return id;
    }

    CommandRow command() {
        return command;
    }

    String test() {
        return test;
    }

    String variant() {
        return variant;
    }

    Side side() {
        return side;
    }

    int tryNumber() {
        return tryNumber;
    }

    Set<UUID> supersedes() {
        return supersedes;
    }

    List<PartRow> parts() {
        return parts;
    }
}
