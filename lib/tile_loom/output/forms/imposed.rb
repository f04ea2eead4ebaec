# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # Pages of the book on other paper: several on one, a booklet, or a large page over several small ones.
      class Imposed < Form
        kind "imposed", "an imposed PDF", rank: 6
        file_name "{{ book.title }}_imposed"
        about "Several sheets per page, a booklet to fold, or a large sheet tiled over small paper."
        part :manner_of,
          choice(**Imposition::KINDS),
          key: "lay",
          default: "several on one",
          about: "How pages lie on the paper."
        part :paper, choice(*(Layout::PageSize.names - [Layout::PageSize::CUSTOM])), default: "A4"
        part :orientation,
          choice("as fits" => "as fits best", :portrait => "portrait", :landscape => "landscape"),
          default: "as fits"
        part :across, whole(1..10), default: 1, about: "Pages beside each other, where several lie on one."
        part :down, whole(1..10), default: 2
        part :gap_mm, number(0..100), default: 5, about: "Between pages."
        part :margin_mm, number(0..100), default: 8, about: "What the printer leaves free at each edge of the paper."
        part :overlap_mm,
          number(0..100),
          default: 10,
          about: "By how much neighbouring parts of a large page show the same."
        part :marks, flag, default: true, about: "Marks to cut by, and crosses by which parts are laid together."
        part :true_size, flag, default: false, about: "Are pages never enlarged?"
        part :pdf, PdfManner.type, default: {}

        def self.paged? = true

        def ending = ".pdf"

        # What leads to places of pages does not hold for pages that lie on others.
        def manner = pdf.with(tagged: false, own_links: false, georeferenced: false, object_data: nil)

        def check(press)
          raise Refusal.new("output.imposed_structure", at: "#{path}/pdf") if pdf.tagged? || pdf.object_data.any?
          PdfFile.new(press, manner).check
          imposition(press)
        end

        def notices(press)
          found = imposition(press)
          [
            "#{found.papers} #{(found.papers == 1) ? "side" : "sides"} of #{paper} paper; #{found.size_in_words}",
            *found.bleed_in_words,
            *PdfFile.new(press, manner).notices,
            "Pages that lie on others have no links and no place on the ground."
          ]
        end

        def bind(press, pages, path, secrets: nil)
          lay = imposition(press)
          PdfFile
            .new(press, manner, secrets: secrets)
            .write(Enumerator::Chain.new(pages, [:end]), path) do |writer, page|
              (page == :end) ? lay.sides { |side| writer.add_side(side) } : writer.add_for_sides(page)
            end
        end

        private

        def imposition(press)
          pages = press.items.map { |item| press.composer(item).page }
          Imposition.new(self, pages.map { |page| outer(page) }, bleeds: pages.map(&:bleed_mm))
        end

        def outer(page) = [page.width_mm, page.height_mm]
      end
    end
  end
end
