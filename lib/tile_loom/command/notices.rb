# frozen_string_literal: true

module TileLoom
  module Command
    # What a command has to tell beside what it does: sentences, of the book or of sheets, each once with the sheets
    # that it is about; as lines or as JSON.
    class Notices
      MOST_NAMED = 6

      def initialize = @sheets = {}

      # sheet: its name, or nil for what the whole book is told.
      def add(sentences, sheet: nil)
        sentences.each { |sentence| (@sheets[sentence] ||= []).concat([sheet].compact).uniq! }
      end

      def lines = @sheets.map { |sentence, sheets| sheets.empty? ? sentence : "#{named(sheets)}: #{sentence}" }

      # [{"message", "sheets"}]
      def to_a = @sheets.map { |sentence, sheets| {"message" => sentence, "sheets" => sheets} }

      private

      def named(sheets)
        return "Sheet #{sheets.first}" if sheets.one?
        "Sheets #{Sentences.listed(sheets, MOST_NAMED)}"
      end
    end
  end
end
