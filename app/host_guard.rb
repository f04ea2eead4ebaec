# frozen_string_literal: true

module App
  # Refuses requests for a name that is not ours (DNS rebinding).
  class HostGuard
    def initialize(app, hosts)
      @app, @hosts = app, hosts
    end

    def call(env)
      host = Rack::Request.new(env).host
      return @app.call(env) if @hosts.include?(host)
      [403, {"content-type" => "application/json"}, [JSON.generate({"message" => "This server does not answer to the name “#{host.to_s[0, 80]}”; add it to HOSTS."})]]
    end
  end
end
