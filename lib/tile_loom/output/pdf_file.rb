# frozen_string_literal: true

module TileLoom
  module Output
    # Writes pages of a book as a PDF in a manner, and has it protected and made readable over a network where that is
    # asked for.
    class PdfFile
      # secrets: Secrets of this run, or nil.
      def initialize(press, manner, secrets: nil)
        @press, @manner, @secrets = press, manner, secrets
      end

      # Refuses layers that are not there.
      def check
        @press.profile if @manner.press?
        known = book.layers.map(&:id)
        (@manner.layers.map(&:id) + @manner.object_data.map(&:layer) - known)
          .first(1)
          .each { |id| raise Refusal.new("output.no_such_layer", layer: id, known: known.join(", "), at: @manner.path) }
      end

      # What a standard leaves out, and what was not given, in sentences.
      def notices
        [
          (@manner.exchange? && @manner.given["links"] != false) ? "PDF/X-4 holds no links; they are left out." : nil,
          if @manner.standard != "none" && @manner.layers.any? { |state| state.printed != "as shown" }
            "#{PdfManner::STANDARD_NAMES.fetch(@manner.standard)} prints layers as they are shown; other print " \
              "states are left out."
          end,
          if @manner.exchange? && !book.parsed_date
            "The book has no date, which PDF/X-4 asks for; the file is dated today."
          end,
          if @manner.attachments? && @manner.attach_data? && book.layers.any?(&:raster?)
            "The attached data do not include rasters: #{Sentences.listed(book.layers.select(&:raster?).map(&:title), 5)}."
          end
        ].compact
      end

      # pages: Pdf::Page list or enumerable; title: of the document, where it is not the book's; sheets, elsewhere: see
      # Pdf::Writer. The block may add to the Pdf::Writer what is not a plain page.
      def write(pages, path, title: book.title, sheets: {}, elsewhere: {})
        # Before anything is written: a file that is to be protected never lies there open.
        Secrets.demand(@manner, @secrets)
        Press.aside(path, finish: method(:finish)) do |io|
          writer =
            Pdf::Writer.new(
              io,
              about: about(title),
              faces: book.faces,
              pictures: book.pictures.method(:of_content),
              manner: @manner,
              layers: layers,
              sheets: sheets,
              elsewhere: elsewhere,
              attachments: attachments,
              palette: book.palette,
              profile: @press.profile
            )
          pages.each { |page| block_given? ? yield(writer, page) : writer.add(page) }
          writer.close
        end
      end

      private

      def book = @press.book

      def about(title) =
        Pdf::About.new(
          title: title,
          author: book.author,
          subject: book.subject,
          date: book.parsed_date || (@manner.exchange? ? @press.today : nil),
          language: book.language.tag
        )

      # The lowest first.
      def layers =
        book.layers.map do |layer|
          Pdf::LayerProperties::Entry.new(id: layer.id, title: layer.title, group: layer.group)
        end

      def attachments =
        @manner.attachments? ? BookFiles.new(@press, data: @manner.attach_data?, book: @manner.attach_book?).files : []

      def finish(path)
        return unless @manner.linearized? || @manner.protected?
        Qpdf.new(path).finish(@manner, @secrets)
      end
    end
  end
end
