package lexicor.server.examinations.record;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.Conflict;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes somebody responsible for an examination that a colleague began. */
@Service
public class Takeover {

    private final ExaminationRecords examinations;
    private final Takeovers takeovers;
    private final People people;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Takeover(
            ExaminationRecords examinations,
            Takeovers takeovers,
            People people,
            ApplicationEventPublisher events,
            Clock clock) {
        this.examinations = examinations;
        this.takeovers = takeovers;
        this.people = people;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Takes an examination over, or {@link Conflict} where it is one's own or somebody else was quicker.
     *
     * @param from sign-in name of who the person believes is responsible
     */
    @Transactional
    public Recorded take(UUID id, String from) {
        Recorded held = examinations.held(id);
        String responsible = held.responsible();
        if (responsible.equals(CurrentUser.isHere())) {
            throw new Conflict("You are responsible for this examination already.");
        }
        if (!responsible.equals(from)) {
            throw new Conflict("By now " + people.name(responsible) + " is responsible for it. Look at it again.");
        }
        List<TakeoverRow> before = held.takeovers();
        takeovers.saveAndFlush(new TakeoverRow(id, before.size() + 1, people.by(clock.instant()), responsible));
        events.publishEvent(new ExaminationMoved(
                id, held.row().caseFile().id(), held.lastNumber(), ExaminationMoved.What.TAKEN_OVER));
        return examinations.examination(id);
    }
}
