package lexicor.server.examinations.record;

import jakarta.persistence.CascadeType;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;
import org.hibernate.annotations.Immutable;

/** A command as it is kept. Rows are only ever added. */
@Entity
@Immutable
@Table(name = "command")
public class CommandRow extends AddedOnce {

    @Column(name = "examination_id", nullable = false)
    private UUID examination;

    private long number;

    @Column(name = "client_id", nullable = false)
    private UUID client;

    private long clientOrder;

    @Column(nullable = false)
    private String author;

    @Column(nullable = false)
    private Instant at;

    @Column(nullable = false)
    private Instant receivedAt;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, columnDefinition = "varchar(20)")
    private CommandKind kind;

    @Column(nullable = false)
    private String standAt;

    private UUID undoes;

    @OneToMany(mappedBy = "command", cascade = CascadeType.PERSIST)
    @OrderBy("ordinal")
    private List<AttemptRow> attempts = new ArrayList<>();

    @ElementCollection
    @CollectionTable(name = "intake_answer", joinColumns = @JoinColumn(name = "command_id"))
    @OrderColumn(name = "ordinal")
    private List<AnswerRow> answers = new ArrayList<>();

    protected CommandRow() {
        // for the mapper
    }

    /**
     * @param at its time by the server's clock
     * @param receivedAt when it arrived
     */
    CommandRow(UUID examination, long number, CommandJson command, Instant at, String author, Instant receivedAt) {
        super(command.id());
        this.examination = examination;
        this.number = number;
        this.client = command.clientId();
        this.clientOrder = command.order();
        this.author = author;
        this.at = at;
        this.receivedAt = receivedAt;
        this.kind = command.kind();
        this.standAt = command.standAt();
        this.undoes = command.undoes();
        for (AttemptJson attempt : command.attempts()) {
            attempts.add(new AttemptRow(this, attempts.size(), attempt));
        }
        command.answers().forEach(answer -> answers.add(new AnswerRow(answer.toCore())));
    }

    UUID examination() {
        return examination;
    }

    public long number() {
        return number;
    }

    UUID client() {
        return client;
    }

    long clientOrder() {
        return clientOrder;
    }

    public String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    /** When it arrived at the server. */
    public Instant receivedAt() {
        return receivedAt;
    }

    public CommandKind kind() {
        return kind;
    }

    String standAt() {
        return standAt;
    }

    UUID undoes() {
        return undoes;
    }

    public List<AnswerRow> answers() {
        return answers;
    }

    List<AttemptRow> attempts() {
        return attempts;
    }
}
