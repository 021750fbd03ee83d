package lexicor.server.examinations;

import org.springframework.stereotype.Component;

/** Who is examining. There are no accounts yet, so it is always the therapist at this machine. */
@Component
class Examiner {

    String name() {
        return "therapist";
    }
}
