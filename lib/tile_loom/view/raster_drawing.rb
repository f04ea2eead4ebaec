# frozen_string_literal: true

module TileLoom
  module View
    # A layer of pixels in one view, brought to the pixels that are printed.
    #
    # Where rows and columns run along the frame's sides and the raster is the coarser of the two, its own pixels stand
    # in their true places. All else is resampled at the resolution of the book: edges of classes are where they should
    # be then, and fine lines of a picture lose none of their contrast to a grid as coarse as its own.
    class RasterDrawing
      # Pixels about a window that ways of resampling look at.
      MARGIN = 4
      # Pixels of one picture.
      MOST_PIXELS = 700_000_000

      attr_reader :layer, :view

      # raster: see Raster::Prepared; ppi: pixels an inch of what is drawn.
      def initialize(layer:, raster:, view:, ppi:)
        @layer, @raster, @view, @ppi = layer, raster.afresh, view, ppi
      end

      def group =
        @group ||=
          Scene::Group.new(
            children: [image].compact,
            layer: layer.scene_layer,
            name: layer.id,
            opacity: layer.opacity,
            blend: layer.blend,
            incomplete: @raster.waiting?
          )

      # Rows of a legend for it.
      def entries
        return [] unless image
        look.entries(layer, facts) { present }
      end

      # Pixels an inch that the raster has in the middle of the view.
      def own_ppi = 25.4 / mm_per_pixel

      # What of it is not as asked for here, in sentences.
      def notices
        image
        [@raster.notices].compact
      end

      private

      def look = layer.raster

      def facts = @raster.facts

      def grid = @raster.grid

      def crs = @crs ||= grid.system(operations: view.crs.operations)

      def extent = @extent ||= Raster::Extent.new(grid, view.crs)

      # Flat page mm → pixels of the raster's finest level, from the corner of the first.
      def on_raster(flat) = extent.on_grid(view.to_ground(flat))

      # mm on paper of a pixel of the raster, by the finer of its directions.
      def mm_per_pixel
        @mm_per_pixel ||=
          begin
            x, y = view.middle_of_page
            probe = [view.frame.width, view.frame.height].min / 200.0
            around = on_raster([x - probe, y, x + probe, y, x, y - probe, x, y + probe])
            across = Math.hypot(shorter(around[2] - around[0]), around[3] - around[1])
            along = Math.hypot(shorter(around[6] - around[4]), around[7] - around[5])
            fine = [across, along].max / (2 * probe)
            (fine.finite? && fine.positive?) ? 1 / fine : 25.4 / @ppi
          end
      end

      # Not once round the earth.
      def shorter(columns) = (period && columns.finite?) ? columns - (columns / period).round * period : columns

      # Columns once round the earth, for rasters that could go on over its edge; or nil.
      def period
        return @period if defined?(@period)
        @period = Crs::Period.of(crs)&.then { |units| units / grid.affine.a.abs if grid.affine.b.zero? }
      end

      # The same reference, and rows along the page.
      def along_frame? =
        crs.code == view.crs.code && view.ground.upright? && grid.upright? && grid.affine.a.positive? &&
          grid.affine.d.negative?

      def image
        return @image if defined?(@image)
        @image = (along_frame? && own_ppi <= @ppi) ? own_pixels : resampled
      end

      # The raster's own pixels, as wide as they are.
      def own_pixels
        corners = on_raster(view.frame.corners)
        box = Geometry::Box.around(corners)
        left, top = [box.min_x.floor, 0].max, [box.min_y.floor, 0].max
        right, bottom = [box.max_x.ceil, grid.width].min, [box.max_y.ceil, grid.height].min
        return nil if right <= left || bottom <= top
        place = view.to_page(grid.affine.map([left, top, right, bottom]))
        bands, mask = worked(finest, left, top, right - left, bottom - top)
        picture(bands, mask, Geometry::Box.new(*place))
      end

      def finest = @raster.levels.first

      # Bands of a window as the look wants them, and its mask.
      def worked(level, left, top, width, height)
        reach = look.reach
        pixels, mask = @raster.window(level, left - reach, top - reach, width + 2 * reach, height + 2 * reach)
        slope = Raster::Slope.new(grid, level.factor, left - reach, top - reach)
        return look.worked(pixels, slope, facts), mask if reach.zero?
        # What has no value has no slope either.
        pixels = mask.ifthenelse(pixels.cast(:float), Float::NAN) if mask
        bands = look.worked(pixels, slope, facts)
        [bands.crop(reach, reach, width, height), mask&.crop(reach, reach, width, height)]
      end

      # The picture in pixels counted from the frame's corner, as far as the raster may reach in it: [left, top, width,
      # height], and the size of a pixel in mm.
      def size
        pixel = 25.4 / @ppi
        across, down = (view.frame.width / pixel - 1e-6).ceil, (view.frame.height / pixel - 1e-6).ceil
        box = reach or return 0, 0, across, down, pixel
        left, top =
          [box.min_x - view.frame.min_x, box.min_y - view.frame.min_y].map { |mm| [(mm / pixel).floor - 2, 0].max }
        right = [((box.max_x - view.frame.min_x) / pixel).ceil + 2, across].min
        bottom = [((box.max_y - view.frame.min_y) / pixel).ceil + 2, down].min
        [left, top, right - left, bottom - top, pixel]
      end

      # The raster's box on the page; nil where its edge says nothing of that, as of one round the earth.
      def reach
        return nil if period && grid.width > period / 2
        extent.whole? ? Geometry::Box.around(view.to_page(extent.ring)) : nil
      end

      def resampled
        left, top, width, height, pixel = size
        return nil unless width.positive? && height.positive?
        demand(width, height)
        x0, y0 = view.frame.min_x + left * pixel, view.frame.min_y + top * pixel
        mesh =
          RasterMesh.new(width, height, period: period) do |flat|
            on_raster(flat.each_slice(2).flat_map { |x, y| [x0 + x * pixel, y0 + y * pixel] })
          end
        pieces = mesh.parts.flat_map { |part| pieces(part, pixel) }
        return nil if pieces.empty?
        bands, mask = joined(pieces, width, height)
        picture(bands, mask, Geometry::Box.at(x0, y0, width * pixel, height * pixel))
      end

      def demand(width, height)
        return if width * height <= MOST_PIXELS
        raise Refusal.new(
          "view.picture_too_large",
          title: layer.title,
          width: Units::Number.grouped(width),
          height: Units::Number.grouped(height),
          most_million: MOST_PIXELS / 1_000_000
        )
      end

      Piece = Struct.new(:part, :bands, :mask)

      # A part as the raster fills it: once, or on both sides of where the earth is cut.
      def pieces(part, pixel)
        shifts = period ? (-2..2).map { |turns| turns * period } : [0.0]
        shifts.filter_map do |shift|
          box = part.box
          if box.min_x + shift >= grid.width || box.max_x + shift <= 0 || box.min_y >= grid.height || box.max_y <= 0
            next
          end
          piece(part, shift, pixel)
        end
      end

      def piece(part, shift, pixel)
        level = @raster.level_for(pixel / mm_per_pixel)
        fx, fy = level.factor
        box = part.box
        left, right = [((box.min_x + shift) / fx).floor - MARGIN, ((box.max_x + shift) / fx).ceil + MARGIN]
        top, bottom = [(box.min_y / fy).floor - MARGIN, (box.max_y / fy).ceil + MARGIN]
        left, right = [left, -MARGIN].max, [right, level.width + MARGIN].min
        top, bottom = [top, -MARGIN].max, [bottom, level.height + MARGIN].min
        bands, mask = worked(level, left, top, right - left, bottom - top)
        places = part.index.linear([1 / fx, 1 / fy], [shift / fx - left, -top.to_f])
        taken(part, bands, mask, places)
      end

      def taken(part, bands, mask, places)
        mask = (Vips::Image.black(bands.width, bands.height) + 255).cast(:uchar) if mask.nil? && !part.whole
        shown = mask&.mapim(places, interpolate: Vips::Interpolate.new("nearest"), extend: :black)
        Piece.new(part, values(bands, mask, places), shown)
      end

      # What has no value does not run into what is beside it.
      def values(bands, mask, places)
        return bands.mapim(places, interpolate: Vips::Interpolate.new("nearest"), extend: :copy) if nearest?
        way = Vips::Interpolate.new(look.interpolation(facts))
        middles = places - 0.5
        return bands.mapim(middles, interpolate: way, extend: :copy) unless mask
        share = (mask / 255.0).cast(:float)
        known = mask.ifthenelse(bands.cast(:float), 0.0)
        shares = share.mapim(middles, interpolate: Vips::Interpolate.new("bilinear"), extend: :copy)
        sums = known.mapim(middles, interpolate: Vips::Interpolate.new("bilinear"), extend: :copy)
        mixed = sums / (shares > 1e-4).ifthenelse(shares, 1.0)
        (bands.format == :uchar) ? mixed.rint.cast(:uchar) : mixed
      end

      def nearest? = look.interpolation(facts) == "nearest"

      # The pieces side by side, laid one by one into a picture in memory; what none of them fills is clear.
      def joined(pieces, width, height)
        one = pieces.first
        return one.bands, one.mask if pieces.one? && one.part.width == width && one.part.height == height
        bands = Vips::Image.black(width, height, bands: one.bands.bands).cast(one.bands.format).copy_memory
        mask = Vips::Image.black(width, height).copy_memory
        pieces
          .group_by { |piece| piece.part.object_id }
          .values
          .each do |list|
            part = list.first.part
            colours, shown =
              list.map { |piece| [piece.bands, piece.mask || all(part)] }.reduce { |below, above| over(below, above) }
            bands = bands.mutate { |image| image.draw_image!(colours, part.left, part.top) }
            mask = mask.mutate { |image| image.draw_image!(shown, part.left, part.top) }
          end
        [bands, mask]
      end

      def all(part) = (Vips::Image.black(part.width, part.height) + 255).cast(:uchar)

      def over(below, above) = [above[1].ifthenelse(above[0], below[0]), above[1] | below[1]]

      # A Scene::Image; nil where nothing shows.
      def picture(bands, mask, box)
        # Looked at more than once: by the legend, by the eye, by the file.
        bands = bands.copy_memory if nearest?
        mask = mask&.copy_memory
        shown = look.shown(bands, facts)
        opacity = [mask, shown].compact.reduce { |one, other| one & other }
        if opacity
          return nil if opacity.max.zero?
          opacity = nil if opacity.min == 255
        end
        @bands, @opacity = bands, opacity
        Scene::Image.new(
          x: box.min_x,
          y: box.min_y,
          width_mm: box.width,
          height_mm: box.height,
          raster: Artwork::Pixels.new(look.colours(bands, facts), opacity: opacity, lossless: look.lossless?(facts))
        )
      end

      # Whole numbers on the page.
      def present = Raster::Present.numbers(@bands[0], @opacity)
    end
  end
end
