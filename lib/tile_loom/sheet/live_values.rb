# frozen_string_literal: true

module TileLoom
  module Sheet
    # What live text can say of the book and of a sheet.
    class LiveValues
      BOOK = %w[title subtitle author source date].freeze
      SHEET = %w[name number count row column scale ratio width_m height_m centre convergence].freeze
      REFERENCE = %w[name code datum].freeze

      def self.names
        BOOK.map { |name| "book.#{name}" } + SHEET.map { |name| "sheet.#{name}" } + REFERENCE.map { |name| "reference.#{name}" }
      end

      def initialize(sheet) = @sheet = sheet

      def to_h = {"book" => book, "sheet" => sheet, "reference" => reference}

      private

      def book = BOOK.to_h { |name| [name, @sheet.book.public_send(name).to_s] }

      def sheet
        cell = @sheet.cell
        view = @sheet.view
        width, height = [cell.ground.width, cell.ground.height].map { |length| length * view.crs.metres_per_unit }
        {
          "name" => cell.name, "number" => cell.number, "count" => @sheet.count,
          "row" => cell.row + 1, "column" => Weave::Naming.letters(cell.column),
          "scale" => cell.scale, "ratio" => "1:#{Units::Number.grouped(cell.scale)}",
          "width_m" => width.round(1), "height_m" => height.round(1), "centre" => centre(cell),
          "convergence" => Units::Angle.dms((view.factors.convergence_deg * 60).round/60r, positive: " E", negative: " W", step_deg: Rational(1, 60))
        }
      end

      def centre(cell)
        [cell.ground.centre_x, cell.ground.centre_y].map { |number| Units::Number.grouped(number, separator: CoordinateGrid::Caption::THIN_SPACE) }.join(", ")
      end

      def reference
        crs = @sheet.view.crs
        {"name" => crs.name, "code" => crs.code, "datum" => crs.datum}
      end
    end
  end
end
