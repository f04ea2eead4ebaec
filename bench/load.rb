# frozen_string_literal: true

require "json"
require "net/http"

module Bench
  # Readers who leaf, editors who change, and a run of the press, all at one server that runs already. Bounded in time;
  # loopback alone.
  #   ruby bench/load.rb PORT [SECONDS]
  class Load
    READERS, EDITORS = 50, 5
    # A reader looks at a sheet for so long, an editor thinks for so long.
    LOOK_S, THINK_S = 0.5, 2.0

    def initialize(port, seconds)
      @port, @seconds = port, seconds
      @proofs, @edits, @others = Array.new(3) { Queue.new }
    end

    def run
      @book = ask(Net::HTTP.new("127.0.0.1", @port), "/api/books").first["id"]
      @sheets = ask(Net::HTTP.new("127.0.0.1", @port), "/api/books/#{@book}")["cells"].length
      send_json(Net::HTTP.new("127.0.0.1", @port), Net::HTTP::Post, "/api/books/#{@book}/runs", {sheets: "all"})
      @ends = now + @seconds
      threads =
        Array.new(READERS) { |i| Thread.new { read(Random.new(i)) } } +
        Array.new(EDITORS) { |i| Thread.new { edit(Random.new(100 + i), i) } }
      threads.each(&:join)
      {"proofs" => notices(@proofs), "edits" => notices(@edits), "not 200" => @others.size}
    end

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def ask(http, path) = JSON.parse(http.get(path).body)

    def send_json(http, kind, path, body) =
      http.request(
        kind.new(path, "content-type" => "application/json", "x-session" => "load-load"),
        JSON.generate(body)
      )

    def timed(into)
      began = now
      answer = yield
      into << (now - began) * 1000
      @others << answer.code if answer.code != "200"
      answer
    end

    # Leafs from sheet to sheet at the revision that the book has.
    def read(random)
      Net::HTTP.start("127.0.0.1", @port, read_timeout: 120) do |http|
        sheet = random.rand(@sheets)
        while now < @ends
          revision = ask(http, "/api/books/#{@book}/revision")["revision"]
          timed(@proofs) do
            http.get("/api/books/#{@book}/sheets/#{sheet % @sheets + 1}.svg?r=#{revision}", "accept-encoding" => "gzip")
          end
          sheet += 1
          sleep LOOK_S * (0.5 + random.rand)
        end
      end
    end

    # Changes a text, moves an element, shows and hides a layer.
    def edit(random, number)
      Net::HTTP.start("127.0.0.1", @port, read_timeout: 120) do |http|
        count = 0
        while now < @ends
          patch =
            [
              {"subtitle" => "Edition #{number}.#{count += 1}"},
              {"author" => "Editor #{number}.#{count}"},
              {"source" => "Survey #{count}"}
            ][
              random.rand(3)
            ]
          timed(@edits) { send_json(http, Net::HTTP::Patch, "/api/books/#{@book}", {patch: patch, label: "Load"}) }
          sleep THINK_S * (0.5 + random.rand)
        end
      end
    end

    def notices(queue)
      all = Array.new(queue.size) { queue.pop }.sort
      at = ->(share) { all.empty? ? 0 : all[((all.length - 1) * share).round].round }
      {"count" => all.length, "p50 ms" => at[0.5], "p95 ms" => at[0.95], "most ms" => at[1.0]}
    end
  end
end

puts JSON.pretty_generate(Bench::Load.new(Integer(ARGV[0]), Integer(ARGV[1] || 30)).run) if $PROGRAM_NAME == __FILE__
