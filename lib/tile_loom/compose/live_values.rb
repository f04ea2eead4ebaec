# frozen_string_literal: true

module TileLoom
  module Compose
    # What live text can say of the book and of a sheet.
    class LiveValues
      BOOK = %w[title subtitle author edition source description date credits].freeze
      SHEET = %w[
        name
        number
        count
        row
        column
        scale
        fraction
        width_m
        height_m
        west
        south
        east
        north
        latitude
        longitude
        centre
        convergence
        convergence_deg
        point_scale
        meridian_scale
        areal_scale
        true_scale
        declination
        declination_deg
        annual_change
        grid_magnetic
        grid_magnetic_deg
        zone
        square
        mgrs
        verbal
        verbal_imperial
        lowest
        highest
      ].freeze
      PAGE = %w[number count title].freeze
      # Words of the book's language with what the sheet has to say in them: "Sheet 3 of 27", "3 of 27", "Index to 27
      # sheets".
      COUNTED = %w[sheet_of number_of index_to].freeze
      # Of the book's language, as they are.
      WORDS = %w[
        sheet
        scale
        page
        contents
        index
        legend
        grid
        edition
        source
        proof
        grid_north
        true_north
        magnetic_north
        convergence
        declination
        annual_change
        grid_magnetic
      ].freeze
      CRS = %w[name code datum].freeze
      LAYOUT = %w[name page].freeze
      NEIGHBOURS = Index::Neighbours::DIRECTIONS

      # feature: names of attributes that features of the study area have; fields: of the book's own fields.
      def self.names(feature: [], fields: [])
        {
          "book" => BOOK,
          "sheet" => SHEET,
          "page" => PAGE,
          "words" => COUNTED + WORDS,
          "neighbours" => NEIGHBOURS,
          "crs" => CRS,
          "layout" => LAYOUT
        }.flat_map { |group, names| names.map { |name| "#{group}.#{name}" } } + feature.map { |name| self.name(name) } +
          fields.map { |name| "fields.#{name}" }
      end

      # As a text asks for an attribute.
      def self.name(attribute) =
        if attribute.match?(/\A[A-Za-z_][A-Za-z0-9_-]*\z/)
          "feature.#{attribute}"
        else
          %(feature["#{attribute.delete('"')}"])
        end

      # sheet: a Composer.
      def initialize(sheet) = @sheet = sheet

      # The costly ones are worked out when a text asks for them.
      def to_h =
        {
          "book" => book,
          "fields" => @sheet.book.own_fields,
          "sheet" => sheet,
          "page" => -> { page },
          "words" => -> { words },
          "neighbours" => -> { neighbours },
          "crs" => crs,
          "layout" => layout,
          "feature" => -> { feature }
        }

      # Name → text, for all that can be asked.
      def list
        to_h
          .flat_map do |group, values|
            values = values.call if values.respond_to?(:call)
            values
              .map { |name, value| [name, value.respond_to?(:call) ? value.call : value] }
              .map do |name, value|
                [(group == "feature") ? self.class.name(name) : "#{group}.#{name}", language.value(value).to_s]
              end
          end
          .to_h
      end

      private

      def language = @sheet.book.language

      def words
        count = @sheet.count
        number = @sheet.cell&.number
        WORDS
          .to_h { |name| [name, language.word(name)] }
          .merge(
            "sheet_of" => number ? language.word(:sheet_of, number: number, count: count) : "",
            "number_of" => number ? language.word(:number_of, number: number, count: count) : "",
            "index_to" => language.word(:index_to, count: count)
          )
      end

      def book = BOOK.to_h { |name| [name, @sheet.book.public_send(name).to_s] }

      def sheet
        cell = @sheet.cell
        view = @sheet.view
        {
          "name" => cell.name,
          "number" => cell.number,
          "count" => @sheet.count,
          "row" => cell.row + 1,
          "column" => Index::Naming.letters(cell.column),
          "scale" => cell.scale,
          "fraction" => language.ratio(cell.scale),
          **extent(view),
          **edges(cell),
          **place(view),
          "centre" => centre(cell),
          **surveyed(view)
        }
      end

      # Of the topmost layer of heights or other values that is shown, or (a shading alone) that there is: to a tenth.
      def height(view, place)
        layers = @sheet.book.layers.select(&:raster?).reverse
        found =
          layers
            .sort_by { |layer| layer.visible? ? 0 : 1 }
            .find { |layer| @sheet.source.raster(layer.id)&.facts&.heights? }
        ends =
          found &&
          @sheet.once(:heights, found.id) { View::Heights.new(@sheet.source.raster(found.id), view).ends || [] }
        ends&.at(place)&.round(1)&.then { |value| Units::Number.tidy(value) } || ""
      end

      # Lengths on the ellipsoid through the frame's middle.
      def extent(view)
        size = view.ground_size
        {"width_m" => -> { size.width_m.round(1) }, "height_m" => -> { size.height_m.round(1) }}
      end

      # North, scale and references of the middle; what is costly is worked out when a text asks for it.
      def surveyed(view)
        norths = @sheet.norths
        {
          "convergence_deg" => view.factors.convergence_deg,
          "point_scale" => view.bar_scale_factor,
          "true_scale" => view.true_scale,
          "meridian_scale" => view.factors.meridional_scale,
          "areal_scale" => view.factors.areal_scale,
          "convergence" => View::Norths.words(view.factors.convergence_deg, language),
          "declination" => -> { View::Norths.words(norths.declination_deg, language) },
          "declination_deg" => -> { norths.declination_deg || "" },
          "annual_change" => -> { View::Norths.words(norths.declination_change_deg, language) },
          "grid_magnetic" => -> { View::Norths.words(norths.grid_magnetic_deg, language) },
          "grid_magnetic_deg" => -> { norths.grid_magnetic_deg || "" },
          "zone" => -> { CoordinateGrid::Squares::Mgrs.designation(*view.centre_lon_lat).to_s },
          "square" => -> { mgrs(view)[/[A-Z]{2}(?=\d*\z)/].to_s },
          "mgrs" => -> { mgrs(view) },
          "lowest" => -> { height(view, 0) },
          "highest" => -> { height(view, 1) },
          "verbal" => -> { Bar::VerbalScale.on(@sheet.measure, @sheet.stated_scale, language: language) },
          "verbal_imperial" => -> do
            Bar::VerbalScale.on(@sheet.measure, @sheet.stated_scale, language: language, units: "imperial")
          end
        }
      end

      def mgrs(view) =
        CoordinateGrid::Squares::Mgrs.reference(*Crs::Transform.to_wgs84(view.crs).point(*view.middle)).to_s

      # Of the ground's box, in units of the book's reference.
      def edges(cell)
        box = cell.ground.box
        {
          "west" => box.min_x.round(2),
          "south" => box.min_y.round(2),
          "east" => box.max_x.round(2),
          "north" => box.max_y.round(2)
        }
      end

      # Of the sheet's middle, in degrees of the reference's own datum.
      def place(view)
        longitude, latitude = view.centre_lon_lat
        {"latitude" => latitude, "longitude" => longitude}
      end

      def centre(cell)
        [cell.ground.centre_x, cell.ground.centre_y].map do |number|
          language.number(number, separator: CoordinateGrid::Caption::THIN_SPACE)
        end
          .join(", ")
      end

      def crs
        crs = @sheet.view.crs
        {"name" => crs.name, "code" => crs.code, "datum" => crs.datum}
      end

      # The number that it prints, empty where it prints none.
      def page
        run = @sheet.book.run(@sheet.source)
        book_page = @sheet.book_page
        {"number" => book_page&.folio || "", "count" => run.folios, "title" => book_page&.name.to_s}
      end

      def layout = {"name" => @sheet.layout.name.to_s, "page" => @sheet.page.name}

      # Names of the sheets around, empty where there is none.
      def neighbours = NEIGHBOURS.to_h { |direction| [direction, @sheet.neighbours[direction]&.name.to_s] }

      # Attributes of the study area's feature that the sheet shows most of; those that only others have are
      # empty.
      def feature
        area = @sheet.book.index.area
        area
          .attribute_names(@sheet.source)
          .to_h { |name| [name, ""] }
          .merge(
            Standing
              .feature(@sheet.book, @sheet.source, @sheet.cell)
              .attributes
              .transform_values { |value| value.nil? ? "" : value }
          )
      end
    end
  end
end
