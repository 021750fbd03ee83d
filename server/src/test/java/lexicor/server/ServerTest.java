package lexicor.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.context.ContextConfiguration;

/**
 * The whole server on an empty record in memory, or in a server database where that is tested, asked by a therapist.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:lexicor;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@ContextConfiguration(initializers = ServerDatabaseUnderTest.class)
@AutoConfigureMockMvc
@WithMockUser(username = "therapist", roles = "THERAPIST")
public @interface ServerTest {}
