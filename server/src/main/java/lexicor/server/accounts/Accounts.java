package lexicor.server.accounts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Accounts extends JpaRepository<Account, UUID> {

    Optional<Account> findByName(String name);

    List<Account> findAllByOrderByName();
}
