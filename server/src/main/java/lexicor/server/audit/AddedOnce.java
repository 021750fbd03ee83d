package lexicor.server.audit;

import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/**
 * A row whose id comes from outside and which is added once and never changed, so that saving it needs no look-up
 * first.
 */
@MappedSuperclass
public abstract class AddedOnce implements Persistable<UUID> {

    @Id
    private UUID id;

    @Transient
    private boolean fresh;

    protected AddedOnce() {
        // for the mapper
    }

    protected AddedOnce(UUID id) {
        this.id = id;
        this.fresh = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return fresh;
    }

    @PostLoad
    @PostPersist
    void known() {
        fresh = false;
    }
}
