# frozen_string_literal: true

require "net/http"
require "uri"

module App
  # The printer that PRINTER names, by IPP (RFC 8011): ipp://host:port/path.
  class Printer
    SECONDS = 15

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
      answer =
        Net::HTTP.start(@uri.host, @uri.port || 631, open_timeout: SECONDS, read_timeout: SECONDS) do |http|
          http.post(@uri.path.empty? ? "/" : @uri.path, body, "content-type" => "application/ipp")
        end
      Ipp.read(answer.body.to_s.b) or raise TileLoom::Refusal.new("exports.printer_refuses", status: answer.code)
    rescue SystemCallError, SocketError, Timeout::Error, IOError
      raise TileLoom::Refusal.new("exports.printer_away", address: @uri.to_s)
    end
  end
end
