# frozen_string_literal: true

require "rack"

module App
  # The whole web application, for Rack.
  module Server
    ROUTES = [
      Routes::House,
      Routes::References,
      Routes::Shelf,
      Routes::Books,
      Routes::History,
      Routes::Starts,
      Routes::Ground,
      Routes::Arrivals,
      Routes::Layers,
      Routes::Tiles,
      Routes::Markers,
      Routes::Enclosures,
      Routes::Index,
      Routes::Cells,
      Routes::Sheets,
      Routes::Layouts,
      Routes::Grids,
      Routes::Bars,
      Routes::Legends,
      Routes::Designs,
      Routes::Press
    ].freeze

    module_function

    # What no group of routes knows goes to the pages.
    def build
      TileCache.promptly!
      hosts, proxies = allowed_hosts, ENV["PROXIES"].to_s.split(",").map(&:strip)
      Rack::Builder.new do
        use AnswerHeaders
        use HostGuard, hosts, proxies
        use WellFormed
        use BodyLimit
        use Rack::Deflater,
          include: %w[application/json image/svg+xml text/html text/css application/javascript text/javascript]
        use Rack::Protection::HttpOrigin
        use Rack::Protection::PathTraversal
        use Deadline
        run Routes::Directory.new(ROUTES, Routes::Pages)
      end
    end

    # Names under which this server may be asked, against rebinding of names: loopback and BIND (of all addresses:
    # the name of this machine), and what HOSTS lists.
    def allowed_hosts
      ["localhost", "127.0.0.1", "[::1]", BindAddress.host(bind), *ENV["HOSTS"].to_s.split(",").map(&:strip)].reject(
        &:empty?
      )
    end

    def bind = ENV["BIND"].to_s.strip
  end
end
