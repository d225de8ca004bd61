package hightally.app.aircraft;

import hightally.app.platform.ConflictException;
import hightally.core.quantity.Said;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Nothing of a deleted model is changed, by whatever address, until it is brought back. */
@Configuration
class DeletedStays implements WebMvcConfigurer, HandlerInterceptor {
  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

  /** What belongs to a model; where it is put, and a copy of it, are no change of it. */
  private static final Pattern OF_MODEL =
      Pattern.compile("/api/aircraft/(\\d{1,18})/(?!place$|copy$).*");

  private final AircraftRepository aircraft;

  DeletedStays(AircraftRepository aircraft) {
    this.aircraft = aircraft;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this).addPathPatterns("/api/aircraft/**");
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    Matcher named = OF_MODEL.matcher(request.getRequestURI());
    if (!READS.contains(request.getMethod()) && named.matches()) {
      aircraft
          .findById(Long.parseLong(named.group(1)))
          .filter(one -> one.place() == Place.DELETED)
          .ifPresent(
              one -> {
                throw new ConflictException(Said.of("refused.deleted", "name", one.name()));
              });
    }
    return true;
  }
}
