package lexicor.server.examinations.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import org.springframework.stereotype.Component;

/** How the people who work on an examination are called. */
@Component
public class People {

    private final AccountService accounts;

    People(AccountService accounts) {
        this.accounts = accounts;
    }

    /** The person at work, with the name that stands in the record. */
    public VersionStep.By by(Instant at) {
        return new VersionStep.By(CurrentUser.isHere(), accounts.displayName(CurrentUser.isHere()), at);
    }

    public String name(String signInName) {
        return accounts.displayName(signInName);
    }

    /** Everybody's sign-in name, also of those who work here no more. */
    public List<String> signInNames() {
        return accounts.signInNames();
    }

    public List<String> names(Collection<String> signInNames) {
        return signInNames.stream().map(this::name).toList();
    }
}
