package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.app.ApiTest;
import jakarta.persistence.EntityManagerFactory;
import javax.sql.DataSource;
import org.hibernate.SessionFactory;
import org.hibernate.tool.schema.spi.SchemaManagementException;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.data.repository.Repository;

/** What a start need not look at any more. */
class TablesFitTest extends ApiTest {
  @Autowired private EntityManagerFactory entities;
  @Autowired private DataSource data;
  @Autowired private ApplicationContext context;

  @Test
  void theTablesAreAsTheProgramReadsThem() throws Exception {
    SessionFactory tables = entities.unwrap(SessionFactory.class);
    tables.getSchemaManager().validateMappedObjects();
    try (var connection = data.getConnection();
        var statement = connection.createStatement()) {
      statement.execute("alter table flight alter column remarks rename to said");
      try {
        assertThatThrownBy(() -> tables.getSchemaManager().validateMappedObjects())
            .isInstanceOf(SchemaManagementException.class);
      } finally {
        statement.execute("alter table flight alter column said rename to remarks");
      }
    }
  }

  /** Wiring and queries are looked at when a part is made, which a start does not wait for. */
  @Test
  void everyPartCanBeMade() {
    assertThat(context.getBeansOfType(Repository.class)).hasSizeGreaterThan(15);
    assertThat(context.getBeansOfType(Object.class)).hasSizeGreaterThan(300);
  }
}
