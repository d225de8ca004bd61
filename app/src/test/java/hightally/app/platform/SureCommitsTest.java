package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A commit that was acknowledged by a database whose file another one had closed. */
class SureCommitsTest {
  @TempDir private Path folder;
  private final JdbcDataSource file = new JdbcDataSource();
  private final SureCommits commits = new SureCommits();

  @BeforeEach
  void table() throws SQLException {
    file.setURL("jdbc:h2:file:" + folder.resolve("data") + ";WRITE_DELAY=0");
    try (Connection connection = file.getConnection()) {
      connection.createStatement().execute("create table flight (goal varchar(20))");
    }
  }

  private DataSource sure(DataSource source) {
    return (DataSource) commits.postProcessAfterInitialization(source, "dataSource");
  }

  @Test
  void oneThatIsWrittenGoesThroughAndOthersFailAsTheyDid() throws SQLException {
    DataSource sure = sure(file);
    try (Connection connection = sure.getConnection()) {
      connection.setAutoCommit(false);
      connection.createStatement().execute("insert into flight values ('first')");
      connection.commit();
      assertThatThrownBy(() -> connection.createStatement().execute("insert into nothing"))
          .isInstanceOf(SQLException.class);
      assertThat(connection.unwrap(JdbcConnection.class)).isNotNull();
    }
    assertThat(sure(sure)).isSameAs(sure);
    assertThat(commits.postProcessAfterInitialization("no source", "text")).isEqualTo("no source");
  }

  @Test
  void oneThatSaysNothingWhileItsFileIsClosedFails() throws SQLException {
    try (Connection real = file.getConnection()) {
      JdbcConnection inside = real.unwrap(JdbcConnection.class);
      Connection silent = mock(Connection.class);
      when(silent.isWrapperFor(any())).thenReturn(true);
      when(silent.unwrap(JdbcConnection.class)).thenReturn(inside);
      doAnswer(commit -> closed(inside)).when(silent).commit();
      DataSource source = mock(DataSource.class);
      when(source.getConnection()).thenReturn(silent);
      Connection connection = sure(source).getConnection();
      connection.setAutoCommit(false);
      assertThatThrownBy(connection::commit)
          .isInstanceOfSatisfying(
              SQLException.class, e -> assertThat(e.getErrorCode()).isEqualTo(90098));
      assertThatThrownBy(() -> connection.setAutoCommit(true)).isInstanceOf(SQLException.class);
    }
  }

  private static Object closed(JdbcConnection inside) {
    ((SessionLocal) inside.getSession()).getDatabase().getStore().getMvStore().closeImmediately();
    return null;
  }
}
