# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # A picture of each sheet.
      class Images < Form
        kind "images", "one image per sheet", rank: 3
        file_name "{{ book.title }}_{{ sheet.name }}"
        about "A raster image of each sheet, or of its map frame alone; georeferenced if wanted."
        part :format, choice(png: "PNG", jpeg: "JPEG", tiff: "TIFF", webp: "WebP", geotiff: "GeoTIFF"), default: "png"
        part :shows, choice(**PageArea::SHOWN), default: PageArea::PAGE
        part :clear, flag, default: false, about: "Without the white of the paper."
        part :depth,
          choice(:colour => "24-bit colour", :grey => "8-bit grey", "256 colours" => "256 colours"),
          default: "colour"
        part :quality, whole(10..100), default: 90, about: "Of JPEG and WebP."
        part :placed, flag, default: false, about: "With a world file and a file that names the reference beside it."
        part :north_up, flag, default: false, about: "Are rotated sheets resampled in a GeoTIFF so that north is up?"

        ENDINGS = {"png" => ".png", "jpeg" => ".jpg", "tiff" => ".tif", "webp" => ".webp", "geotiff" => ".tif"}.freeze
        # Of world files, as is usual.
        WORLDS = {"png" => ".pgw", "jpeg" => ".jgw", "tiff" => ".tfw", "webp" => ".wld"}.freeze
        # The longest side that a format can have.
        LONGEST = {"webp" => 16_383, "jpeg" => 65_535}.freeze
        # Bytes a pixel, about, of a map.
        RATES = {"png" => 0.09, "jpeg" => 0.16, "tiff" => 0.16, "webp" => 0.06, "geotiff" => 0.2}.freeze
        # Pixels a second and core, about.
        PIXELS_A_SECOND = 12_000_000.0

        def ending = ENDINGS.fetch(format)

        def pixels(press, item) = Painter.pixels(area(press, item).box, press.ppi)

        def check(press)
          clash("clear", "jpeg") if clear? && format == "jpeg"
          clash("256 colours", format) if depth == "256 colours" && format != "png"
          Press.spread(press.items).each { |item| fits!(pixels(press, item), press, item) }
        end

        def estimate(press, items)
          seen = Press.spread(items).map { |item| pixels(press, item).reduce(:*) }
          total = seen.sum * items.length / seen.length
          sample = press.sample(items)
          [(total * RATES.fetch(format)).round, items.length * sample.seconds + total / PIXELS_A_SECOND]
        end

        def notices(press)
          return [] unless placed? || format == "geotiff"
          unplaced = press.items.reject { |item| frame?(press, item) }
          found = []
          found << "#{unplaced.length} pages have no map frame and are not placed on the ground." if unplaced.any?
          if placed? && format != "geotiff" && !press.book.crs.wkt
            found << "#{press.book.crs.name} cannot be written as WKT 1, so that no file beside the images names it."
          end
          found
        end

        def make(press, item, folder, name, secrets: nil)
          area, ppi = area(press, item), press.ppi
          fits!(Painter.pixels(area.box, ppi), press, item)
          page = Pdf::Page.of(area.drawing, ppi: ppi)
          place = area.view && PlacedPicture.new(area.view, area.box, ppi)
          Painter
            .new(page, box: area.box, ppi: ppi, book: press.book, clear: clear?)
            .paint do |image|
              write(shaded(image, ppi), place, File.join(folder, name))
              [name, *beside(place, File.join(folder, name))]
            end
        end

        private

        def area(press, item) = PageArea.new(press.composer(item), shows)

        def frame?(press, item) = !press.composer(item).main_frame.nil?

        def clash(what, kind) = raise(Refusal.new("output.image_clash", what: what, format: kind.upcase, at: path))

        def fits!((width, height), press, item)
          most = LONGEST[format]
          return unless most && [width, height].max > most
          raise Refusal.new(
            "output.side_too_long",
            format: format.upcase.sub("WEBP", "WebP"),
            most: Units::Number.grouped(most),
            width: Units::Number.grouped(width),
            height: Units::Number.grouped(height),
            sheet: Press.name_of(item),
            ppi: press.ppi * most / [width, height].max,
            at: "/ppi"
          )
        end

        # ppi as the file says it (pixels a millimetre in libvips).
        def shaded(image, ppi)
          image = image.copy(xres: ppi / 25.4, yres: ppi / 25.4)
          return image unless depth == "grey"
          return image.colourspace(:"b-w") unless image.has_alpha?
          image.extract_band(0, n: 3).colourspace(:"b-w").bandjoin(image[3])
        end

        def write(image, place, path)
          Press.whole(path) do |aside|
            next GroundRaster.new(place).geotiff(image, aside, north_up: north_up?) if format == "geotiff" && place
            save(image, aside)
          end
        end

        def save(image, path)
          case format
          when "png"
            image.pngsave(path, strip: true, palette: depth == "256 colours", compression: 6)
          when "jpeg"
            image.jpegsave(path, Q: quality, strip: true, optimize_coding: true)
          when "webp"
            image.webpsave(path, Q: quality, strip: true)
          else
            image.tiffsave(
              path,
              compression: :deflate,
              predictor: :horizontal,
              tile: true,
              strip: true,
              bigtiff: large?(image)
            )
          end
        end

        def large?(image) = image.width * image.height * image.bands > 2**31

        # Names of the world file and of the file that names the reference, where they are wanted.
        def beside(place, path)
          return [] unless placed? && place && format != "geotiff"
          base = path.delete_suffix(ending)
          files = {"#{base}#{WORLDS.fetch(format)}" => place.world_file, "#{path}.aux.xml" => place.auxiliary}.compact
          files.map do |file, text|
            Press.aside(file) { |io| io.write(text) }
            File.basename(file)
          end
        end
      end
    end
  end
end
