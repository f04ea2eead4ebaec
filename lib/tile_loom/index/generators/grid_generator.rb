# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Rows and columns over the study area.
      class GridGenerator < Generator
        begins = [
          {
            "type" => "object",
            "required" => %w[kind multiple],
            "additionalProperties" => false,
            "properties" => {
              "kind" => {
                "const" => "round"
              },
              "multiple" => {
                "$ref" => "#/$defs/groundLength"
              }
            }
          },
          {
            "type" => "object",
            "required" => %w[kind x y],
            "additionalProperties" => false,
            "properties" => {
              "kind" => {
                "const" => "point"
              },
              "x" => {
                "type" => "number",
                "minimum" => -1_000_000_000,
                "maximum" => 1_000_000_000
              },
              "y" => {
                "type" => "number",
                "minimum" => -1_000_000_000,
                "maximum" => 1_000_000_000
              }
            }
          }
        ]
        sides = %i[x y].to_h { |axis| [axis, Values::Part.new(axis, Values::Types::GROUND_LENGTH)] }
        share = {"type" => "number", "exclusiveMinimum" => 0, "maximum" => 1}
        turned = {"type" => "number", "minimum" => -180, "maximum" => 180}

        kind "grid", "Grid", rank: 1
        named_by "places"
        ordered_by "rows"
        part :keep,
          Values::Plain.new({"oneOf" => [{"enum" => %w[touching all]}, share]}),
          default: "touching",
          about: "Grid: which cells stay: those that touch the area, that hold at least this share of area, or all."
        part :spacing,
          Values::Record.new(nil, sides) { |**found| found },
          default: {},
          about:
            "Grid: neighbours are so far apart on the ground, each way its own, whatever the frame shows; in place of an overlap."
        part :origin,
          Values::Plain.new({"oneOf" => begins}),
          about:
            "Grid: sheet corners on multiples of a ground length, or a corner at a point of the reference; without it the grid is centred on the area."
        part :rotation_deg,
          Values::Plain.new({"oneOf" => [{"const" => "align"}, turned]}),
          default: 0,
          about: "Grid: clockwise in degrees, or \"align\", as the area lies."
        part :fewest,
          Values::Choice.new(moved: "move it for the fewest", turned: "move and rotate it for the fewest"),
          about: "Grid: look for the place (and the turn) at which the fewest sheets cover."

        def cells
          return fewest, nil if @index.fewest
          grid =
            Grid.new(
              area: area,
              size: size,
              overlap_mm: overlap_mm,
              keep: keep,
              start: start,
              ccw_deg: turn,
              step: step,
              most: @most
            )
          [demand_some(grid.cells), nil]
        end

        private

        # A share may be more than any cell shows.
        def demand_some(cells)
          return cells unless cells.empty? && keep.is_a?(Numeric)
          share = Units::Number.plain(keep * 100, decimals: 4)
          raise Refusal.new("index.share_leaves_none", share: share, at: "/index/keep")
        end

        def keep = @index.keep

        # Ground lengths by which neighbours are apart, in place of an overlap.
        def step = %i[x y].map { |axis| @index.spacing[axis]&.then { |length| @index.units(length, @crs) } }

        # Counter-clockwise, as the plane counts.
        def turn = (@index.rotation_deg == "align") ? area.best_ccw_deg : -@index.rotation_deg.to_f

        def start
          given = @index.origin or return Grid::CENTRED
          multiple = given["multiple"] && @index.units(Units::Length.parse(given["multiple"]), @crs)
          Grid::Start.new(kind: given["kind"], x: given["x"], y: given["y"], multiple: multiple)
        end

        # Grid lines of the fewest sheets lie where the search puts them: start and turn of the settings rest.
        def fewest
          found =
            FewestSheets.new(
              area: area,
              size: size,
              overlap_mm: overlap_mm,
              keep: keep,
              turns: @index.fewest == "turned"
            ).find
          saved =
            (found.saved.zero? ? "none fewer than" : "#{found.saved} fewer than the #{found.plain} of") +
            " the plain grid"
          turned =
            if found.grid.ccw_deg.zero?
              ""
            else
              ", rotated #{Units::Number.plain(-found.grid.ccw_deg, decimals: 1)}° clockwise"
            end
          least = " At least #{found.bound} #{(found.bound == 1) ? "is" : "are"} needed." if found.bound
          @notes << "The fewest sheets found: #{found.cells.length}, #{saved}#{turned}.#{least}"
          demand_some(found.cells)
        end
      end
    end
  end
end
