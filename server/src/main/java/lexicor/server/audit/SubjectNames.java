package lexicor.server.audit;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;

/** How the subjects of one kind are known to people, such as a case by its code. */
public interface SubjectNames {

    /** The name of each of these that is of this kind; others are left out. Never null. */
    Map<UUID, String> of(Collection<UUID> ids);
}
