package lexicor.server.accounts;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Accounts over HTTP, for the administrator. */
@RestController
@RequestMapping("/api/accounts")
class AccountController {

    private final AccountService service;

    AccountController(AccountService service) {
        this.service = service;
    }

    @GetMapping
    @Traced(action = Action.SAW, subject = "accounts")
    List<AccountJson> all() {
        return service.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    AccountJson add(@Valid @RequestBody AccountJson.NewAccount request) {
        return service.add(request);
    }

    @PutMapping("/{id}")
    AccountJson change(@PathVariable UUID id, @Valid @RequestBody AccountJson.ChangedAccount request) {
        return service.change(id, request);
    }
}
