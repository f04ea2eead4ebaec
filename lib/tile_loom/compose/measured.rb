# frozen_string_literal: true

module TileLoom
  module Compose
    # What a scale bar or a north arrow comes to on a sheet, in sentences.
    class Measured
      # composer: of the sheet; element: of its layout.
      def initialize(composer, element)
        @composer, @element = composer, element
      end

      # {sentence, warnings}
      def to_h
        case @element
        when Furniture::Elements::ScaleBar
          bar
        when Furniture::Elements::NorthArrow
          arrow
        else
          raise Refusal.new("requests.not_measured", id: @element.id)
        end
      end

      private

      def number(value, decimals) = Units::Number.plain(value, decimals: decimals)

      def bar
        drawing = @element.drawing(@composer, @element.box(@composer.page))
        ruling, error = drawing.ruling, measure.error
        total = "#{number(ruling.total.to_f, 4)} #{ruling.unit.symbol(Languages::Language.english, ruling.total)}"
        paper = number(measure.paper_mm(ruling.metres(ruling.total)), 2)
        {
          "sentence" =>
            "#{total} in #{ruling.count} divisions, #{paper} mm on this sheet; off by at most #{percent(error)} " \
              "anywhere in the frame.",
          "warnings" => [too_far(error), too_low(drawing)].compact
        }
      rescue Refusal => problem
        {"sentence" => problem.message, "warnings" => [problem.message]}
      end

      def measure = @measure ||= @element.measure(@composer)

      # Does it reach below its box?
      def too_low(drawing)
        box = @element.box(@composer.page)
        lowest =
          drawing
            .nodes
            .map do |node|
              node.is_a?(Scene::Text) ? node.y : node.runs.flat_map { |run| run.each_slice(2).map(&:last) }.max
            end
            .max
        return nil if lowest <= box.max_y + 0.05
        high, room = number(lowest - box.min_y, 1), number(box.height, 1)
        "It is #{high} mm high, and its box is #{room} mm; make the box higher."
      end

      def percent(error) = (error.share.abs < 5e-6) ? "0.001 %" : "#{number(error.share.abs * 100, 3)} %"

      def too_far(error)
        return nil if error.share.abs <= @element.limit
        if @element.by_latitude?(@composer)
          return "It is drawn as a bar by latitude, since one bar would be off by #{percent(error)}."
        end
        "Off by more than #{number(@element.limit * 100, 2)} % in parts of this frame" \
          "#{": a bar by latitude would be true" if measure.cylindrical?}."
      end

      def arrow
        norths = @element.norths(@composer, @element.box(@composer.page))
        name = {"grid" => "Grid north", "true" => "True north", "magnetic" => "Magnetic north"}.fetch(@element.north)
        angle = norths.on_page(@element.north)
        spread = norths.spread_deg
        turn = angle && Units::Angle.wrapped(angle)
        words =
          if turn
            "#{name}, #{number(turn.abs, 2)}° #{turn.negative? ? "left" : "right"} of upright on this sheet."
          else
            norths.trouble
          end
        turning =
          if @element.north != "grid" && spread > View::Norths::MOST_SPREAD_DEG
            "North turns by #{number(spread, 1)}° across this sheet; the arrow holds for one place of it."
          end
        {"sentence" => words, "warnings" => [*(angle ? nil : norths.trouble), turning].compact}
      end
    end
  end
end
