# frozen_string_literal: true

require "net/http"
require "uri"

module App
  # The printer that PRINTER names, by IPP (RFC 8011): ipp://host:port/path.
  class Printer
    SECONDS = 15
    # Of one answer, all of it; of sending a file, more for each megabyte.
    ANSWER_S, PER_MEGABYTE_S = 30, 2
    LARGEST_ANSWER = 1024 * 1024

    # The address, or nil where there is no printer.
    def self.address = ENV["PRINTER"].to_s.strip[%r{\Aipp://[^\s/]+/\S*\z}]

    def initialize(address = self.class.address)
      @uri = URI.parse(address)
      @id = 0
    end

    # Hands over a PDF; returns the job's number. Refusal where the printer is away or takes no file.
    def print(path, name)
      answer =
        ask(
          Ipp::PRINT_JOB,
          {"job-name" => [:name, name], "document-format" => [:media, "application/pdf"]},
          File.binread(path)
        )
      unless answer.code == Ipp::OK
        raise TileLoom::Refusal.new("exports.printer_refuses", status: format("0x%04x", answer.code))
      end
      answer.groups.fetch(Ipp::JOB, {})["job-id"]
    end

    # State of a job: Ipp::JOB_COMPLETED and the like.
    def state(job) = ask(Ipp::GET_JOB, {"job-id" => [:integer, job]}).groups.fetch(Ipp::JOB, {})["job-state"]

    # Why the printer stands still, as a keyword of RFC 8011, or "none".
    def trouble = ask(Ipp::GET_PRINTER, {}).groups.fetch(Ipp::PRINTER, {})["printer-state-reasons"]

    private

    def ask(operation, attributes, document = "")
      groups = {Ipp::OPERATION => {"printer-uri" => [:uri, @uri.to_s]}.merge(attributes)}
      body = Ipp.write(operation, @id += 1, groups, document)
      status, text = Timeout.timeout(ANSWER_S + body.bytesize / 1_000_000 * PER_MEGABYTE_S) { exchange(body) }
      # RFC 8010, 3.4.3: what the printer has to say of an operation comes with HTTP status 200.
      raise TileLoom::Refusal.new("exports.printer_fails", status: status) unless status == "200"
      Ipp.read(text) or raise TileLoom::Refusal.new("exports.printer_unreadable")
    rescue Timeout::Error
      raise TileLoom::Refusal.new("exports.printer_slow", address: @uri.to_s)
    rescue SystemCallError, SocketError, IOError, Net::ProtocolError
      raise TileLoom::Refusal.new("exports.printer_away", address: @uri.to_s)
    end

    # [HTTP status, body], of which no more is read than an answer has.
    def exchange(body)
      request = Net::HTTP::Post.new(@uri.path.empty? ? "/" : @uri.path, "content-type" => "application/ipp")
      request.body = body
      timeouts = {open_timeout: SECONDS, read_timeout: SECONDS, write_timeout: SECONDS}
      Net::HTTP.start(@uri.host, @uri.port || 631, **timeouts) do |http|
        http.request(request) do |response|
          text = +"".b
          response.read_body do |part|
            text << part
            raise TileLoom::Refusal.new("exports.printer_unreadable") if text.bytesize > LARGEST_ANSWER
          end
          return response.code, text
        end
      end
    end
  end
end
