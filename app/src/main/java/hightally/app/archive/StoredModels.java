package hightally.app.archive;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import hightally.app.platform.ModelFaults;
import hightally.core.quantity.Violation;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/** Models of the hangar held against what the program reads, like those of an archive. */
@Service
class StoredModels implements ModelFaults {
  private final DataSource data;
  private final ObjectMapper mapper;
  private final EntityRows rows;
  private final ModelPages pages;
  private final TransactionOperations transaction;

  StoredModels(
      DataSource data,
      ObjectMapper mapper,
      EntityRows rows,
      ModelPages pages,
      TransactionOperations transaction) {
    this.data = data;
    this.mapper = mapper;
    this.rows = rows;
    this.pages = pages;
    this.transaction = transaction;
  }

  @Override
  public List<Violation> of(long aircraftId) {
    return transaction.execute(
        status -> {
          status.setRollbackOnly();
          RowFaults faults = new RowFaults();
          Connection connection = DataSourceUtils.getConnection(data);
          try {
            read(new Rows(connection, mapper), aircraftId, faults);
          } catch (SQLException e) {
            throw new IllegalStateException("What is stored cannot be asked", e);
          } finally {
            rows.forget();
            DataSourceUtils.releaseConnection(connection, data);
          }
          return faults.all();
        });
  }

  private void read(Rows stored, long aircraftId, RowFaults faults) throws SQLException {
    for (Kept kept : Kept.ALL) {
      ArrayNode table = stored.read(kept.table(), kept.ofOneModel(), aircraftId);
      for (int i = 0; i < table.size(); i++) {
        int before = faults.all().size();
        rows.fields(kept.table(), i, table.get(i), faults);
        if (faults.all().size() == before && rows.asks(kept.table())) {
          long id = table.get(i).path("id").asLong(aircraftId);
          rows.told(kept.table(), id, i, faults);
        }
      }
    }
    if (faults.none()) {
      pages.workOut(aircraftId, faults);
    }
  }
}
