package hightally.order;

import java.lang.instrument.ClassFileTransformer;
import java.lang.instrument.Instrumentation;
import java.lang.reflect.Method;
import java.security.ProtectionDomain;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.asm.ClassReader;
import org.springframework.asm.ClassVisitor;
import org.springframework.asm.ClassWriter;
import org.springframework.asm.MethodVisitor;
import org.springframework.asm.Opcodes;
import org.springframework.asm.Type;

/**
 * Makes the classes the framework generates at build time the same in every build: the virtual
 * machine lists a class's methods in the order in which their names lie in memory, and what is
 * generated from the list comes out otherwise each time. An agent of the generating process only;
 * nothing of it ships.
 */
public final class SortedMethods implements ClassFileTransformer {
  /** What collects the methods that proxies are generated from. */
  static final String COLLECTOR = "org/springframework/cglib/core/ReflectUtils";

  private SortedMethods() {}

  /** Called by the virtual machine before the program's own start. */
  public static void premain(String arguments, Instrumentation instrumentation) {
    instrumentation.addTransformer(new SortedMethods());
  }

  /** The methods a class declares, by name and types. */
  public static Method[] declared(Class<?> type) {
    Method[] methods = type.getDeclaredMethods();
    Arrays.sort(
        methods,
        Comparator.comparing(Method::getName).thenComparing(one -> Type.getMethodDescriptor(one)));
    return methods;
  }

  @Override
  public byte[] transform(
      ClassLoader loader, String name, Class<?> before, ProtectionDomain domain, byte[] bytes) {
    return COLLECTOR.equals(name) ? sorting(bytes) : null;
  }

  /** A class that asks here for declared methods wherever it asked the class itself. */
  static byte[] sorting(byte[] bytes) {
    ClassReader read = new ClassReader(bytes);
    ClassWriter written = new ClassWriter(read, 0);
    read.accept(
        new ClassVisitor(Opcodes.ASM9, written) {
          @Override
          public MethodVisitor visitMethod(
              int access, String name, String types, String signature, String[] thrown) {
            return new Asking(super.visitMethod(access, name, types, signature, thrown));
          }
        },
        0);
    return written.toByteArray();
  }

  private static final class Asking extends MethodVisitor {
    Asking(MethodVisitor visitor) {
      super(Opcodes.ASM9, visitor);
    }

    @Override
    public void visitMethodInsn(
        int opcode, String owner, String name, String types, boolean ofInterface) {
      if (owner.equals("java/lang/Class") && name.equals("getDeclaredMethods")) {
        super.visitMethodInsn(
            Opcodes.INVOKESTATIC,
            Type.getInternalName(SortedMethods.class),
            "declared",
            "(Ljava/lang/Class;)[Ljava/lang/reflect/Method;",
            false);
      } else {
        super.visitMethodInsn(opcode, owner, name, types, ofInterface);
      }
    }
  }
}
