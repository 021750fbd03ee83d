package lexicor.server.examinations.sending;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.fhir.FhirRecord;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who receives signed examinations, and what became of those that were asked to be sent. */
@Service
class SendingService {

    private final Sendings sendings;
    private final FhirRecord record;
    private final ExaminationRecords examinations;
    private final People people;
    private final Clock clock;

    SendingService(Sendings sendings, FhirRecord record, ExaminationRecords examinations, People people, Clock clock) {
        this.sendings = sendings;
        this.record = record;
        this.examinations = examinations;
        this.people = people;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public SendingJson.ReceiverJson receiver() {
        return sendings.receiver()
                .map(each -> new SendingJson.ReceiverJson(each.called(), each.address()))
                .orElse(new SendingJson.ReceiverJson("", ""));
    }

    /** Names the receiver; an empty address means that nothing is sent any more. */
    @Transactional
    public SendingJson.ReceiverJson decide(SendingJson.ReceiverJson asked) {
        String address = asked.address().strip();
        if (address.isEmpty()) {
            sendings.decide(Optional.empty(), clock.instant());
            return receiver();
        }
        Receiver.fault(address).ifPresent(fault -> {
            throw new BadInput("address", fault);
        });
        String called = asked.called().strip();
        if (called.isEmpty()) {
            throw new BadInput("called", "allowed: 1 to 80 characters");
        }
        sendings.decide(Optional.of(new Receiver(called, address)), clock.instant());
        return receiver();
    }

    /** Where an examination can go, what would go, and what became of what was asked for. */
    public SendingJson of(UUID examination) {
        Recorded recorded = examinations.examination(examination);
        Optional<Receiver> receiver = sendings.receiver();
        List<Sending> asked = sendings.of(examination);
        boolean open = recorded.versions()
                .last()
                .flatMap(last -> receiver.filter(each -> asked.stream().noneMatch(one -> one.is(last.getId(), each))))
                .isPresent();
        return new SendingJson(
                receiver.map(each -> new SendingJson.ReceiverJson(each.called(), each.address()))
                        .orElse(null),
                open ? record.holds(examination) : List.of(),
                recorded.row().caseFile().name().isPresent(),
                asked.stream().map(each -> json(each, recorded, receiver)).toList());
    }

    private SendingJson.OneJson json(Sending sending, Recorded recorded, Optional<Receiver> receiver) {
        int version = recorded.versions().signed().stream()
                .filter(each -> each.getId().equals(sending.signature()))
                .findFirst()
                .orElseThrow()
                .version();
        return new SendingJson.OneJson(
                sending.id(),
                version,
                sending.receiver().called(),
                sending.withName(),
                people.name(sending.author()),
                sending.askedAt(),
                sending.state(),
                sending.tries(),
                sending.state() == Sending.State.WAITING ? sending.nextAt() : null,
                sending.doneAt().orElse(null),
                sending.said(),
                sending.mayBeTried(receiver));
    }

    /** Lets the last signed version be sent. Asking for the same again changes nothing. */
    @Transactional
    public void ask(UUID examination, boolean withName) {
        Receiver receiver = named();
        UUID signature = record.signature(examination);
        Instant now = clock.instant();
        sendings.add(new Sending(
                UUID.randomUUID(),
                examination,
                signature,
                receiver,
                withName,
                CurrentUser.isHere(),
                now,
                Sending.State.WAITING,
                0,
                now,
                Optional.empty(),
                ""));
    }

    /** Lets what has not arrived be tried at once. */
    @Transactional
    public void again(UUID examination) {
        examinations.examination(examination);
        sendings.again(examination, named(), clock.instant());
    }

    private Receiver named() {
        return sendings.receiver()
                .orElseThrow(() -> new Conflict("No receiver is named. An administrator names one in the setup."));
    }
}
