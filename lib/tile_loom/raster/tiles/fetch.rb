# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"
require "net/http"
require "time"

module TileLoom
  module Raster
    module Tiles
      # Files from tile servers, kept in a folder for as long as their servers say (RFC 9111). At most two are asked for
      # at once of a host, by all processes of this machine together; a server that is busy (429, 503) is given time,
      # one that does not answer is left alone for a while (Away).
      class Fetch
        CONNECTIONS = 2
        LARGEST_BYTES = 4 * 1024 * 1024
        TIMEOUT_S = 10
        # Of one request, and of a tile with all tries, redirects and waits.
        REQUEST_S, TILE_S = 20, 60
        REDIRECTS = 3
        # Of a busy server: so many times, so long at most.
        TRIES, LONGEST_WAIT_S = 4, 20
        # Where the server does not say: a tile, and that there is none.
        KEPT_S, NONE_KEPT_S = 7 * 86_400, 3_600

        # In place of a status: the server did not answer; it is left alone; the tile is still on its way; it leads to
        # another host; it is larger than a tile is.
        SILENT, AWAY, WAITING, ELSEWHERE, TOO_LARGE = "silent", "away", "waiting", "elsewhere", "too large"
        # Those that another try could mend.
        PASSING = [SILENT, AWAY, WAITING].freeze

        # The answer is no tile, and will be none.
        class Unfit < StandardError
          attr_reader :status

          def initialize(status)
            @status = status
            super
          end
        end

        # What came: status 200 with bytes, or another without; stale: is it older than its server wanted?
        Found = Struct.new(:status, :bytes, :stale, keyword_init: true) { def tile? = status == 200 && !bytes.nil? }

        # folder: of the cache; hosts: Hosts; pause: waits for so many seconds.
        def initialize(folder, hosts: Hosts.of_environment, pause: ->(seconds) { sleep seconds })
          @folder, @hosts, @pause = folder, hosts, pause
          @away = Away.new(folder)
        end

        # For another drawing (see Prompt).
        def afresh = self

        # Found, from the cache or the server; Refusal for an address that is not to be asked.
        def get(url)
          at_hand(url) || ask(url, *@hosts.demand(url), read(url))
        end

        # The same as far as nothing has to be asked for: from the cache, or where the host is left alone; else nil.
        def at_hand(url)
          uri = @hosts.allowed(url)
          kept = read(url)
          return kept[:found] if kept && kept[:until] > Time.now.to_f
          @away.away?(uri) ? left_alone(kept) : nil
        end

        private

        def paths(url)
          name = Digest::SHA256.hexdigest(url)
          folder = File.join(@folder, name[0, 2])
          [File.join(folder, name), File.join(folder, "#{name}.json")]
        end

        def read(url)
          data, about = paths(url)
          known = JSON.parse(File.read(about))
          bytes = (known["status"] == 200) ? File.binread(data) : nil
          {found: Found.new(status: known["status"], bytes: bytes), until: known["until"], etag: known["etag"]}
        rescue SystemCallError, JSON::ParserError
          nil
        end

        def ask(url, uri, address, kept)
          response = Timeout.timeout(TILE_S) { patiently(uri, address, kept) }
          return left_alone(kept) if response == AWAY
          @away.answered(uri)
          if response.code.to_i >= 500 || response.code.to_i == 429
            return stale(kept) || Found.new(status: response.code.to_i)
          end
          return renewed(url, kept, response) if response.code.to_i == 304 && kept
          keep(url, response)
        rescue Unfit => error
          write(url, nil, error.status, {})
          Found.new(status: error.status)
        rescue SystemCallError, Timeout::Error, IOError, SocketError, Net::ProtocolError, OpenSSL::SSL::SSLError
          @away.failed(uri)
          stale(kept) || Found.new(status: SILENT)
        end

        def left_alone(kept) = stale(kept) || Found.new(status: AWAY)

        def stale(kept) = (kept && kept[:found].tile?) ? kept[:found].dup.tap { |found| found.stale = true } : nil

        def renewed(url, kept, response)
          write(url, kept[:found].bytes, 200, response)
          kept[:found]
        end

        def keep(url, response)
          status = response.code.to_i
          status = 404 if status == 200 && !image?(response.body)
          bytes = (status == 200) ? response.body : nil
          write(url, bytes, status, response)
          Found.new(status: status, bytes: bytes)
        end

        # PNG, JPEG, WebP; or text that describes tiles.
        def image?(body) =
          body.to_s.b.start_with?("\x89PNG".b, "\xff\xd8\xff".b) || body.to_s.b.match?(/\ARIFF....WEBP/mn) ||
            body.to_s.lstrip.start_with?("<")

        def write(url, bytes, status, response)
          data, about = paths(url)
          FileUtils.mkdir_p(File.dirname(data), mode: 0o700)
          part = "#{data}.#{::Process.pid}.#{Thread.current.object_id}"
          if bytes
            File.binwrite(part, bytes)
            File.rename(part, data)
          end
          File.write(
            part,
            JSON.generate({"status" => status, "until" => lifetime(status, response), "etag" => response["etag"]})
          )
          File.rename(part, about)
        rescue SystemCallError
          nil
        end

        # RFC 9111, 4.2.1.
        def lifetime(status, response)
          now = Time.now.to_f
          control = response["cache-control"].to_s
          return now if control.match?(/no-store|no-cache/i)
          seconds = control[/max-age\s*=\s*(\d+)/i, 1]&.to_i
          return now + [seconds - response["age"].to_i, 0].max if seconds
          expires = response["expires"] && Time.httpdate(response["expires"]).to_f
          expires || now + ((status == 200) ? KEPT_S : NONE_KEPT_S)
        rescue ArgumentError
          now
        end

        # The last answer; AWAY where another who asked found that there is none while this one waited for its turn.
        def patiently(uri, address, kept)
          TRIES.times do |attempt|
            response = in_turn(uri) { @away.away?(uri) ? AWAY : request(uri, address, kept) }
            return response if response == AWAY || ![429, 503].include?(response.code.to_i) || attempt == TRIES - 1
            @pause.call(wait(response, attempt))
          end
        end

        def wait(response, attempt)
          asked = response["retry-after"]
          seconds = asked.to_s.match?(/\A\d+\z/) ? asked.to_i : 2**attempt
          [seconds, LONGEST_WAIT_S].min
        end

        # One of a host's connections.
        def in_turn(uri)
          FileUtils.mkdir_p(@folder, mode: 0o700)
          name = Digest::SHA256.hexdigest("#{uri.host}:#{uri.port}")[0, 16]
          number = (@turn = (@turn || rand(CONNECTIONS)) + 1) % CONNECTIONS
          File.open(File.join(@folder, "slot-#{name}-#{number}"), File::RDWR | File::CREAT, 0o600) do |slot|
            slot.flock(File::LOCK_EX)
            yield
          end
        end

        # Raises where the server does not answer, or with what is no tile.
        def request(uri, address, kept, redirects = REDIRECTS)
          http = Net::HTTP.new(uri.host.delete("[]"), uri.port)
          http.ipaddr = address
          http.use_ssl = uri.scheme == "https"
          http.open_timeout = http.read_timeout = TIMEOUT_S
          # What does not answer is not asked twice.
          http.max_retries = 0
          headers = {"user-agent" => "TileLoom", "accept" => "image/png,image/jpeg,image/webp,application/xml"}
          headers["if-none-match"] = kept[:etag] if kept && kept[:etag] && kept[:found].tile?
          response = Timeout.timeout(REQUEST_S) { http.start { |open| limited(open, uri, headers) } }
          return response unless response.is_a?(Net::HTTPRedirection) && response["location"] && response.code != "304"
          follow(uri, response, kept, redirects)
        end

        def limited(http, uri, headers)
          http.request_get(uri.request_uri, headers) do |response|
            body = +"".b
            response.read_body do |part|
              body << part
              raise Unfit, TOO_LARGE if body.bytesize > LARGEST_BYTES
            end
            response.body = body
          end
        end

        # To the same host alone.
        def follow(uri, response, kept, redirects)
          target = URI.join(uri.to_s, response["location"])
          same = [target.host, target.port, target.scheme] == [uri.host, uri.port, uri.scheme]
          raise Unfit, ELSEWHERE if redirects.zero? || !same
          target, address = @hosts.demand(target.to_s)
          request(target, address, kept, redirects - 1)
        rescue URI::Error, Refusal
          raise Unfit, ELSEWHERE
        end
      end
    end
  end
end
