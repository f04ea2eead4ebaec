# frozen_string_literal: true

require "ipaddr"
require "resolv"
require "uri"

module TileLoom
  module Raster
    module Tiles
      # Which hosts are asked for tiles: those that the operator names (TILE_HOSTS: "tiles.example.org,
      # 127.0.0.1:7481"), by https but on this machine itself, never by an address of a private network.
      class Hosts
        PRIVATE =
          %w[
            0.0.0.0/8
            10.0.0.0/8
            100.64.0.0/10
            127.0.0.0/8
            169.254.0.0/16
            172.16.0.0/12
            192.0.0.0/24
            192.168.0.0/16
            198.18.0.0/15
            224.0.0.0/3
            ::/127
            64:ff9b::/96
            fc00::/7
            fe80::/10
            ff00::/8
          ].map { |range| IPAddr.new(range) }.freeze
        LOOPBACK = %w[127.0.0.0/8 ::1/128].map { |range| IPAddr.new(range) }.freeze

        def self.of_environment = new(ENV["TILE_HOSTS"].to_s.split(/[\s,]+/).reject(&:empty?))

        # Seconds that a name server is given, the first time and the second.
        NAMES_WITHIN_S = [2, 3].freeze

        # names: "host", "host:port" or "[IPv6 address]:port"; the block gives the addresses of a host.
        def initialize(names, &resolve)
          @names = names.map { |name| name.downcase.delete("[]") }
          @resolve = resolve || method(:look_up)
        end

        # The URI of an address that may be asked by its name, which is not looked up yet; Refusal otherwise.
        def allowed(url)
          uri = URI.parse(url)
          unless uri.is_a?(URI::HTTP) && uri.host && uri.userinfo.nil?
            raise Refusal.new("raster.tile_address", url: url[0, 120])
          end
          host = host_of(uri)
          return uri if @names.include?(host) || @names.include?("#{host}:#{uri.port}")
          raise Refusal.new("raster.tile_host", host: host)
        rescue URI::InvalidURIError
          raise Refusal.new("raster.tile_address", url: url[0, 120])
        end

        # [URI, the address that is to be asked]; Refusal for what is not to be asked.
        def demand(url)
          uri = allowed(url)
          host = host_of(uri)
          address = address_of(host)
          loopback = LOOPBACK.any? { |range| range.include?(address) }
          raise Refusal.new("raster.tile_https", host: host) unless uri.is_a?(URI::HTTPS) || loopback
          own = loopback && host.match?(/\A(localhost|127\.\d+\.\d+\.\d+|::1)\z/)
          if !own && PRIVATE.any? { |range| range.include?(address) }
            raise Refusal.new("raster.tile_private", host: host)
          end
          [uri, address.to_s]
        end

        private

        def host_of(uri) = uri.host.delete("[]").downcase

        # By the machine's own list, then by its name servers, which do not answer for ever.
        def look_up(host)
          servers = Resolv::DNS.new.tap { |names| names.timeouts = NAMES_WITHIN_S }
          Resolv.new([Resolv::Hosts.new, servers]).getaddresses(host)
        ensure
          servers&.close
        end

        # All of them must be fit to be asked: the first is.
        def address_of(host)
          found = literal(host) || @resolve.call(host).map { |text| IPAddr.new(text) }
          raise Refusal.new("raster.tile_host_unknown", host: host) if found.empty?
          found = found.map { |address| address.ipv4_mapped? ? address.native : address }
          found.find { |address| PRIVATE.any? { |range| range.include?(address) } } || found.first
        end

        def literal(host)
          [IPAddr.new(host)]
        rescue IPAddr::Error
          nil
        end
      end
    end
  end
end
