package lexicor.server.examinations.sending;

import jakarta.validation.Valid;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sending signed examinations, over HTTP. */
@RestController
class SendingController {

    private static final String SENDING = "/api/examinations/{id}/sending";

    private final SendingService service;

    SendingController(SendingService service) {
        this.service = service;
    }

    /** Who receives signed examinations. */
    @GetMapping("/api/receiver")
    public SendingJson.ReceiverJson receiver() {
        return service.receiver();
    }

    /** Names who receives them; an empty address means that nothing is sent any more. */
    @PutMapping("/api/receiver")
    @Traced(action = Action.CHANGED, subject = "receiver of signed examinations")
    public SendingJson.ReceiverJson decide(@Valid @RequestBody SendingJson.ReceiverJson receiver) {
        return service.decide(receiver);
    }

    /** What would go, and what became of what was asked for. */
    @GetMapping(SENDING)
    @Traced(action = Action.SAW, subject = "examination")
    public SendingJson of(@PathVariable UUID id) {
        return service.of(id);
    }

    /** Lets the last signed version be sent. */
    @PostMapping(SENDING)
    @Traced(action = Action.CHANGED, subject = "examination to be sent")
    public SendingJson ask(@PathVariable UUID id, @Valid @RequestBody SendingJson.Ask request) {
        service.ask(id, request.withName());
        return service.of(id);
    }

    /** Lets what has not arrived be tried at once. */
    @PostMapping(SENDING + "/again")
    @Traced(action = Action.CHANGED, subject = "examination to be sent")
    public SendingJson again(@PathVariable UUID id) {
        service.again(id);
        return service.of(id);
    }
}
