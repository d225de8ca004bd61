package hightally.app.platform;

import hightally.app.datafile.SummedPath;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * A commit that reached no disk fails. When the writing of one commit fails, on a full disk, the
 * database closes its file; of another that waits for its turn at that moment it then writes
 * nothing and says nothing (seen three times in a hundred disks filled by two writers). A file once
 * closed stays closed for the connections it had, so asking after the commit tells.
 */
@Component
public class SureCommits implements BeanPostProcessor {
  private static final int CLOSED = 90098;

  private static final AtomicLong STATE = new AtomicLong();

  static {
    SummedPath.register();
  }

  /** The state of the data after the last commit: another number after anything was written. */
  public static long state() {
    return STATE.get();
  }

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    return bean instanceof DataSource source && !(bean instanceof Sure) ? new Sure(source) : bean;
  }

  /** Connections whose commits are sure. */
  static final class Sure extends DelegatingDataSource {
    Sure(DataSource source) {
      super(source);
    }

    @Override
    public Connection getConnection() throws SQLException {
      return sure(super.getConnection());
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
      return sure(super.getConnection(user, password));
    }

    private static Connection sure(Connection connection) {
      InvocationHandler handler = (proxy, method, values) -> invoked(connection, method, values);
      return (Connection)
          Proxy.newProxyInstance(
              Connection.class.getClassLoader(), new Class<?>[] {Connection.class}, handler);
    }

    private static Object invoked(Connection connection, Method method, Object... values)
        throws Throwable {
      try {
        Object answer = method.invoke(connection, values);
        // To be sent each on its own again commits what was sent before.
        if (method.getName().equals("commit") || method.getName().equals("setAutoCommit")) {
          written(connection);
        }
        return answer;
      } catch (InvocationTargetException e) {
        throw e.getCause();
      }
    }

    private static void written(Connection connection) throws SQLException {
      if (connection.isWrapperFor(JdbcConnection.class)
          && connection.unwrap(JdbcConnection.class).getSession() instanceof SessionLocal session) {
        MVStore store = session.getDatabase().getStore().getMvStore();
        if (store.isClosed() || store.getPanicException() != null) {
          throw new SQLException("The file was closed before this was written", "HY000", CLOSED);
        }
        STATE.set(session.getDatabase().getModificationDataId());
      }
    }
  }
}
