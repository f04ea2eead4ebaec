# frozen_string_literal: true

module App
  # Contours of a layer of heights, as they are asked for: an arrival whose file is traced by a job.
  class ContoursAsked
    # wanted: {"interval", "base", "every", "title"} in the units of the heights.
    def initialize(layer, wanted, session:)
      @layer, @wanted, @session = layer, wanted, session
    end

    # Refusal where no contour could be traced.
    def arrival
      raster = @layer.prepared or raise TileLoom::Refusal.new("raster.contours_of_values")
      TileLoom::Raster::Contours.new(raster, interval: interval, base: base, every: every)
      made = nil
      Arrival.transaction do
        made =
          Arrival.create!(
            book_id: @layer.book_id,
            name: "#{title}.geojson",
            state: "importing",
            bytes: 0,
            total: 0,
            session: @session,
            choice: choice
          )
        WorkQueue.put(:trace_contours, made.id, turn: Turn::IMPORT)
      end
      made
    end

    private

    def interval = @wanted["interval"].to_f

    def base = @wanted.fetch("base", 0).to_f

    def every = @wanted.fetch("every", 5).to_i

    def title =
      @wanted["title"] ||
        "Contours, #{TileLoom::Units::Number.plain(interval, decimals: 3)} #{@layer.raster["unit"] || "m"}"

    def choice =
      {
        "contours" => {
          "layer" => @layer.key,
          "interval" => interval,
          "base" => base,
          "every" => every
        },
        "style" => {
          "rules" => [
            rule("Index contour", 0.25, {"op" => "=", "args" => [{"property" => "index"}, true]}),
            rule("Contour", 0.12, nil)
          ]
        }
      }

    def rule(title, width_mm, condition)
      stroke = {"colour" => "#b07a45", "width_mm" => width_mm, "cap" => "round"}
      {"title" => title, "when" => condition, "symbol" => {"strokes" => [stroke]}}.compact
    end
  end
end
