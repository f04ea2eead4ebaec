# frozen_string_literal: true

module App
  # Refuses requests for a name that is not ours (DNS rebinding). The Host header alone says what was asked for; what a
  # proxy forwards counts only from an address that PROXIES names, and is gone for all that comes after otherwise.
  class HostGuard
    FORWARDED = %w[
      HTTP_FORWARDED
      HTTP_X_FORWARDED_HOST
      HTTP_X_FORWARDED_PORT
      HTTP_X_FORWARDED_PROTO
      HTTP_X_FORWARDED_SCHEME
      HTTP_X_FORWARDED_SSL
      HTTP_X_FORWARDED_FOR
      HTTP_X_FORWARDED_SERVER
    ].freeze

    # hosts: names to answer to; proxies: addresses.
    def initialize(app, hosts, proxies = [])
      @app, @hosts, @proxies = app, hosts.map(&:downcase), proxies
    end

    def call(env)
      FORWARDED.each { |name| env.delete(name) } unless @proxies.include?(env["REMOTE_ADDR"])
      host = asked(env)
      return @app.call(env) if host && @hosts.include?(host)
      Plain.answer(403, "answers.host", host: host.to_s[0, 80].scrub)
    end

    private

    # The name without its port, in lower case; nil for none. Several Host headers, joined by commas, are none.
    def asked(env)
      given = env["HTTP_X_FORWARDED_HOST"] || env["HTTP_HOST"]
      given.to_s.b[/\A(\[[0-9A-Fa-f:.]+\]|[A-Za-z0-9._-]+)(:\d{1,5})?\z/, 1]&.downcase
    end
  end
end
