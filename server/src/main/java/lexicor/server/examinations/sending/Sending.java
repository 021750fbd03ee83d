package lexicor.server.examinations.sending;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A signed version that is to go to a receiver.
 *
 * @param id of it
 * @param signature of the version
 * @param withName whether the patient's name goes too
 * @param author sign-in name of who asked for it
 * @param tries how often it was tried
 * @param nextAt when it is tried next, while it waits
 * @param doneAt when it arrived or was given up
 * @param said by the receiver, or why it was not reached; where it arrived, under which name it is kept there
 */
record Sending(
        UUID id,
        UUID examination,
        UUID signature,
        Receiver receiver,
        boolean withName,
        String author,
        Instant askedAt,
        State state,
        int tries,
        Instant nextAt,
        Optional<Instant> doneAt,
        String said) {

    /** How far it has got. */
    enum State {
        WAITING,
        ARRIVED,
        REFUSED
    }

    /** Whether it is this version on its way to this receiver. */
    boolean is(UUID version, Receiver to) {
        return signature.equals(version) && receiver.address().equals(to.address());
    }

    /** Whether a person may let it be tried now: it was tried, did not arrive, and who receives is the same. */
    boolean mayBeTried(Optional<Receiver> now) {
        return state != State.ARRIVED
                && tries > 0
                && now.map(Receiver::address).filter(receiver.address()::equals).isPresent();
    }
}
