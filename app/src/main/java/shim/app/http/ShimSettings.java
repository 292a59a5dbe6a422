package shim.app.http;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings from the launcher.
 *
 * @param data data folder
 * @param demo sample data
 * @param lan other devices of this network are let in with the key
 * @param key pass key of this run
 */
@ConfigurationProperties("shim")
public record ShimSettings(String data, boolean demo, boolean lan, @Nullable String key) {}
