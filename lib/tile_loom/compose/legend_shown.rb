# frozen_string_literal: true

module TileLoom
  module Compose
    # A legend as it is edited: all rows that it can have in their order, where each stands on a sheet, and what does
    # not fit there.
    class LegendShown
      # composer: of the sheet; legend: an element of its layout that is one.
      def initialize(composer, legend)
        @composer, @legend = composer, legend
        raise Refusal.new("requests.no_legend", id: legend.id) unless legend.explains?
      end

      # JSON-ready but for the symbols (Symbology::MapSymbol) of rows.
      def to_h
        {
          "rows" => placed.map { |row| row(row) },
          "addable" =>
            addable.map { |entry| {"key" => entry.key, "title" => entry.title, "layer" => entry.layer.title} },
          "notices" => @legend.left_out(@composer),
          **fitted
        }
      end

      # What of it has no room on this sheet, in sentences.
      def self.overfull(composer) =
        composer
          .elements
          .select(&:explains?)
          .flat_map do |legend|
            legend.left_out(composer).map { |sentence| {"element" => legend.id, "sentence" => sentence} }
          end

      # How many rows the legends of a sheet have together; those that another continues count once.
      def self.rows(composer) =
        composer
          .elements
          .select { |element| element.explains? && !element.hidden? && !element.continues }
          .sum { |legend| legend.on(composer).count }

      private

      def placed = @placed ||= @legend.arranged_on(@composer)

      def fitted
        composition = @legend.on(@composer)
        {
          "count" => composition.count,
          "fitting" => composition.fitting,
          "columns" => composition.columns,
          "size_pt" => composition.size_pt.round(2)
        }
      end

      def row(placed)
        {
          "row" => placed.row.given,
          "name" => placed.name,
          "on_map" => placed.known.map(&:title),
          "layers" => placed.known.map { |entry| entry.layer.title }.uniq,
          "fresh" => placed.fresh || false,
          "state" => state(placed),
          "box" => standing[placed.object_id]&.then { |box| edges(box) },
          "shape" => drawn(placed)&.last&.to_s,
          "symbol" => drawn(placed)&.first,
          "ramp" => placed.known.first&.then { |entry| entry.bar && entry.range&.map { |value| value.round(6) } },
          "steps" => steps?(placed)
        }.compact
      end

      # Left, top, width and height.
      def edges(box) = [box.min_x, box.min_y, box.width, box.height].map { |mm| mm.round(2) }

      # here; elsewhere: this sheet has nothing of it; hidden; gone: the map has it no longer; overfull: no room.
      def state(placed)
        return "gone" if placed.gone?
        return "hidden" if placed.row.hidden?
        return "here" if standing.key?(placed.object_id)
        (@legend.on(@composer).left.any? { |other| other.equal?(placed) }) ? "overfull" : "elsewhere"
      end

      # Which Placed (by its object_id, as two rows may be alike) → its box.
      def standing = @standing ||= @legend.on(@composer).standing.to_h { |row| [row.placed.object_id, row.box] }

      # Is it one of several classes of a number?
      def steps?(placed)
        entry = placed.known.first
        return false unless placed.row.is_a?(MapLegend::Rows::Entry) && entry&.range && entry.bar.nil?
        @composer.known_entries(@legend.frame).count { |other| other.layer.id == entry.layer.id && other.range } > 1
      end

      # Entries of the map that a legend by hand does not list.
      def addable
        return [] unless @legend.content == "hand"
        listed = placed.flat_map { |row| row.row.keys }
        @composer.known_entries(@legend.frame).reject { |entry| listed.include?(entry.key) }
      end

      # [Symbology::MapSymbol or nil, its shape], of what is drawn in it; nil of words alone.
      def drawn(placed)
        entry = placed.entries.first || placed.known.first
        return entry.symbol, entry.shape if entry
        row = placed.row
        row.is_a?(MapLegend::Rows::Own) ? [row.symbol, row.shape.to_sym] : nil
      end
    end
  end
end
