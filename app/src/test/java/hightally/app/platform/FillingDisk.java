package hightally.app.platform;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePathWrapper;

/** The disk below the database, with room or without; named {@code filling:} in front of a path. */
public final class FillingDisk extends FilePathWrapper {
  static volatile boolean full;

  @Override
  public String getScheme() {
    return "filling";
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    return new Channel(super.open(mode));
  }

  private static final class Channel extends FileBaseDefault {
    private final FileChannel below;

    Channel(FileChannel below) {
      this.below = below;
    }

    @Override
    public long size() throws IOException {
      return below.size();
    }

    @Override
    public int read(ByteBuffer into, long position) throws IOException {
      return below.read(into, position);
    }

    @Override
    public int write(ByteBuffer from, long position) throws IOException {
      if (full) {
        throw new IOException("No space left on device");
      }
      return below.write(from, position);
    }

    @Override
    protected void implTruncate(long size) throws IOException {
      below.truncate(size);
    }

    @Override
    public void force(boolean metaData) throws IOException {
      below.force(metaData);
    }

    @Override
    public java.nio.channels.FileLock tryLock(long position, long size, boolean shared)
        throws IOException {
      return below.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
      below.close();
    }
  }
}
