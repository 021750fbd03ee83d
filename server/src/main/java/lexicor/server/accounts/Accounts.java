package lexicor.server.accounts;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface Accounts extends JpaRepository<Account, UUID> {

    Optional<Account> findByName(String name);

    List<Account> findAllByOrderByName();

    /** Those who may sign in, held so that of two changes at once the second sees what the first has left. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<Account> findByActiveTrue();
}
