package lexicor.server.accounts;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.server.audit.SubjectNames;
import org.springframework.stereotype.Component;

/** Accounts by their sign-in names. */
@Component
class AccountNames implements SubjectNames {

    private final Accounts accounts;

    AccountNames(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public Map<UUID, String> of(Collection<UUID> ids) {
        return accounts.findAllById(ids).stream().collect(Collectors.toMap(Account::id, Account::name));
    }
}
