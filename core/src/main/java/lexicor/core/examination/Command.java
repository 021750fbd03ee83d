package lexicor.core.examination;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.TestId;

/**
 * Something the therapist did. Commands are only ever added.
 *
 * @param id given by the client, so that a command sent twice counts once
 * @param client the browser tab it came from, with {@code order} counting its commands from 1
 * @param standAt the test at which the examination stands afterwards
 */
public record Command(UUID id, UUID client, long order, String author, Instant at, TestId standAt, Action action) {

    /** What was done. */
    public sealed interface Action {}

    /** Attempts were recorded, both sides at once where that was one act. */
    public record Recorded(List<Attempt> attempts) implements Action {
        public Recorded {
            attempts = List.copyOf(attempts);
        }
    }

    /** An earlier command was taken back; taking back an undo restores what it undid. */
    public record Undone(UUID command) implements Action {}

    /** Something was told or seen before the hands. */
    public record IntakeAnswers(List<Answer> answers) implements Action {
        public IntakeAnswers {
            answers = List.copyOf(answers);
        }
    }

    /** The therapist went to another test. */
    public record Moved() implements Action {}
}
