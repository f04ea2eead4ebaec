# frozen_string_literal: true

# No validator of PDF/A, PDF/X or PDF/UA is to be had from the registries. These are checks of our own by the clauses of
# ISO 19005-2:2011 (PDF/A-2), ISO 19005-3:2012 (PDF/A-3) and ISO 15930-7:2010 (PDF/X-4), as remembered, on the files as
# qpdf and poppler read them; each says its clause.
RSpec.describe "Standards of PDF" do
  # The operators of all content streams, uncompressed by qpdf.
  def self.operators(path) =
    Open3
      .capture2("qpdf", "--qdf", "--object-streams=disable", path, "-")
      .first
      .b
      .scan(/(?<=\n)(?:[\d.-]+ )*(rg|RG|g|G|k|K|scn|SCN|cs|CS)$/n)
      .flatten
      .uniq

  def self.made(name, manner, **more)
    before(:all) do
      @folder = Dir.mktmpdir
      settings = linked_settings.merge(more.fetch(:settings, {}))
      press =
        press_of(
          {"sheets" => "index, 1-3", "form" => {"kind" => "pdf_book", "pdf" => {"standard" => name, **manner}}},
          settings: settings
        )
      @path = hand_on(press, @folder).first
      @pdf = PdfObjects.new(@path)
      @bytes = File.binread(@path)
      @xmp = Nokogiri.XML(outside("pdfinfo", "-meta", @path)).remove_namespaces!
    end
    after(:all) { FileUtils.rm_rf(@folder) }
  end

  def annotations = @pdf.of_type("/Annot")

  def streams = @pdf.all.select { |object| object.key?("/Length") }

  # What both families ask for.
  shared_examples "a file to be relied on" do
    it("is read by qpdf without a word") { expect(outside("qpdf", "--check", @path)).to include("No syntax") }

    it "6.1.2: begins with its version and a comment of bytes above 127" do
      expect(@bytes).to match(/\A%PDF-1\.[67]\n%[\x80-\xff]{4,}\n/n)
    end

    it "6.1.3: has an identity and no encryption" do
      expect(@pdf.trailer["/ID"].length).to eq(2)
      expect(@pdf.trailer).not_to have_key("/Encrypt")
    end

    it "6.1.7: has no stream outside of the file, and none by LZW" do
      expect(streams.flat_map(&:keys) & %w[/F /FFilter /FDecodeParms]).to be_empty
      expect(streams.map { |stream| stream["/Filter"] }.flatten).not_to include("/LZWDecode")
    end

    it "6.2.5: has graphics states without transfer functions and halftones" do
      expect(@pdf.of_type("/ExtGState").flat_map(&:keys) & %w[/TR /TR2 /HTP /HT]).to be_empty
    end

    it "6.2.8: has pictures and forms without alternates, interpolation and PostScript" do
      objects = @pdf.of_type("/XObject")
      expect(objects.flat_map(&:keys) & %w[/Alternates /OPI /PS]).to be_empty
      expect(objects.map { |object| object["/Interpolate"] }).to all(be_nil.or(be(false)))
    end

    it "6.2.11.4: embeds all typefaces, says poppler" do
      expect(outside("pdffonts", @path).lines.drop(2)).to all(match(/yes (yes|no) +yes/))
    end

    # ISO 32000-1, table 122: ItalicAngle and StemV are those of the typeface.
    it "says of each typeface how it leans and how thick its stems are" do
      said =
        @pdf
          .of_type("/FontDescriptor")
          .to_h { |own| [own["/FontName"][/\+(.*)/, 1], own.values_at("/ItalicAngle", "/StemV")] }
      expect([said["SourceSans3-It"][0], said["SourceSerif4-It"][0], said["SourceSans3-Regular"][0]]).to eq(
        [-11, -12, 0]
      )
      stems = %w[Regular Semibold Bold].map { |weight| said["SourceSans3-#{weight}"][1] }
      expect(stems).to eq(stems.sort.uniq).and(all(be_between(70, 160)))
    end

    it "6.2.11.7: maps all glyphs to characters" do
      expect(@pdf.of_type("/Font").select { |font| font["/Subtype"] == "/Type0" }).to all(include("/ToUnicode"))
    end

    it "6.2.10: says in which colours what is transparent is mixed" do
      pages = @pdf.pages.select { |page| page.key?("/Group") }
      expect(pages).not_to be_empty
      expect(pages.map { |page| @pdf.get(page["/Group"])["/CS"] }.uniq).to eq([@device])
    end

    it "6.6.2: has its metadata in the catalogue, uncompressed" do
      metadata = @pdf.get(@pdf.catalogue["/Metadata"])
      expect(metadata).to include("/Subtype" => "/XML")
      expect(metadata).not_to have_key("/Filter")
    end

    it "6.6.3: says the same in its information dictionary and its metadata" do
      info = @pdf.get(@pdf.trailer["/Info"])
      expect(@xmp.at_xpath("//title//li").text).to eq(@pdf.text(info["/Title"]))
      expect(@xmp.at_xpath("//Producer").text).to eq(@pdf.text(info["/Producer"]))
      expect(@xmp.at_xpath("//CreateDate").text.tr("-:TZ", "")).to eq(@pdf.text(info["/CreationDate"])[2, 14])
    end

    it "6.9: has layers that no event switches, all of them listed, under a name" do
      layers = @pdf.get(@pdf.catalogue["/OCProperties"])
      settings = @pdf.get(layers["/D"])
      expect(settings).to include("/Name")
      expect(settings).not_to have_key("/AS")
      expect(settings["/Order"].flatten.grep(%r{ R\z})).to match_array(layers["/OCGs"])
    end

    it "has no scripts and no actions of the document" do
      expect(
        @pdf.all.map { |object| object["/S"] } & %w[/JavaScript /Launch /Sound /Movie /SubmitForm /Hide]
      ).to be_empty
      expect(@pdf.catalogue.keys & %w[/AA /AcroForm]).to be_empty
    end
  end

  describe "PDF/A-2u" do
    made("pdf_a_2u", {"tagged" => true, "layers" => [{"id" => "contours", "printed" => "never"}]})
    before { @device = "/DeviceRGB" }

    it_behaves_like "a file to be relied on"

    it "6.6.4: says its part and its level" do
      expect([@xmp.at_xpath("//part").text, @xmp.at_xpath("//conformance").text]).to eq(%w[2 U])
    end

    it "6.2.3 and 6.2.4.3: has an output intent, whose colours are those of the pages" do
      intent = @pdf.get(@pdf.get(@pdf.catalogue["/OutputIntents"]).first)
      expect(intent["/S"]).to eq("/GTS_PDFA1")
      expect(@pdf.get(intent["/DestOutputProfile"])["/N"]).to eq(3)
      expect(self.class.operators(@path) - %w[rg RG]).to be_empty
    end

    it "6.3.2: prints its annotations, all of which are links" do
      expect(annotations).not_to be_empty
      expect(annotations.map { |entry| [entry["/Subtype"], entry["/F"]] }.uniq).to eq([["/Link", 4]])
    end

    it("6.8: carries no files") { expect(@pdf.get(@pdf.catalogue["/Names"])).not_to have_key("/EmbeddedFiles") }

    # Own checks of the structure tree (ISO 32000-1, 14.7 and 14.8), since no validator is to be had.
    describe "its tags" do
      def elements = @pdf.of_type("/StructElem")

      it "are said to be there, with the language of the texts" do
        expect(@pdf.get(@pdf.catalogue["/MarkInfo"])["/Marked"]).to be(true)
        expect(@pdf.text(@pdf.catalogue["/Lang"])).to eq("en")
      end

      it "give each page a section with one heading, and words to each picture" do
        document = @pdf.get(@pdf.get(@pdf.get(@pdf.catalogue["/StructTreeRoot"])["/K"]).first)
        sections = document["/K"].map { |kid| @pdf.get(kid) }
        expect(sections.map { |section| section["/S"] }.uniq).to eq(["/Sect"])
        expect(sections.length).to eq(@pdf.pages.length)
        headings = sections.map { |section| section["/K"].count { |kid| @pdf.get(kid)["/S"] == "/H1" } }
        expect(headings.uniq).to eq([1])
        figures = elements.select { |element| element["/S"] == "/Figure" }
        expect(figures.map { |figure| @pdf.text(figure["/Alt"]) }).to all(match(/\A\p{Lu}.{5,}/))
        expect(figures.map { |figure| @pdf.text(figure["/Alt"]) }).to include(
          /\AMap of sheet B1 at 1:2,500, showing .*Lochans/
        )
      end

      # All marks of a page lead from the tree of parents to elements that name the same mark.
      it "lead from each mark of a page to its element, and each link to its annotation" do
        tree = @pdf.get(@pdf.get(@pdf.catalogue["/StructTreeRoot"])["/ParentTree"])["/Nums"].each_slice(2).to_h
        @pdf.pages.each do |page|
          marked = @pdf.get(tree.fetch(page["/StructParents"]))
          expect(
            marked.each_with_index.reject { |kid, _| kid.nil? }.map { |kid, mark| [@pdf.get(kid)["/K"], mark] }
          ).to all(satisfy { |kid, mark| kid == mark })
        end
        annotations.each do |entry|
          expect(@pdf.get(@pdf.get(tree.fetch(entry["/StructParent"]))["/K"])["/Type"]).to eq("/OBJR")
        end
      end

      it "leave nothing on the page that is neither marked nor an artifact" do
        content, = Open3.capture2("qpdf", "--qdf", "--object-streams=disable", @path, "-")
        depth, outside = 0, []
        content
          .b
          .split("stream\n".b)
          .grep(/\Aq /n)
          .first
          .each_line do |line|
            depth += 1 if line.match?(/(BDC|BMC)$/n)
            outside << line if depth.zero? && line.match?(%r{ (f\*?|S|B\*?|Tj|TJ|Do)$}n)
            depth -= 1 if line.match?(/EMC$/n)
          end
        expect(outside).to be_empty
      end

      it "are read by poppler" do
        expect(outside("pdfinfo", @path)).to match(/Tagged:\s+yes/)
        expect(outside("pdfinfo", "-struct", @path).scrub).to match(/Sect.*H1.*Figure/m)
      end
    end
  end

  describe "PDF/A-3u" do
    made("pdf_a_3u", {"attach_data" => true, "attach_book" => true})
    before { @device = "/DeviceRGB" }

    it_behaves_like "a file to be relied on"

    it "19005-3, 6.8: says of each file what it is to the document" do
      files = @pdf.of_type("/Filespec").select { |entry| entry.key?("/EF") }
      expect(files.map { |file| file["/AFRelationship"] }).to match_array(%w[/Source /Data])
      expect(@pdf.catalogue["/AF"].length).to eq(2)
      expect(files.map { |file| @pdf.text(file["/UF"]) }).to match_array(
        ["Skarrow Moss.json", "Skarrow Moss-data.gpkg"]
      )
      expect(@pdf.of_type("/EmbeddedFile").map { |entry| entry["/Subtype"] }).to include("/application/json")
    end

    it("says its part") { expect(@xmp.at_xpath("//part").text).to eq("3") }
  end

  describe "PDF/X-4" do
    # The red of the sheets' names as an ink of its own, the brown of contours as process colours that overprint.
    made(
      "pdf_x_4",
      {},
      settings: {
        "palette" => [
          {"colour" => "#8c2f39", "name" => "Moss red", "cmyk" => [10, 90, 70, 30], "spot" => true},
          {"colour" => "#b07a45", "name" => "Contour", "cmyk" => [20, 50, 80, 10], "overprint" => true},
          {"colour" => "#1f2a30", "name" => "Ink", "cmyk" => [0, 0, 0, 100], "overprint" => true}
        ]
      }
    )
    before { @device = "/DeviceCMYK" }

    it_behaves_like "a file to be relied on"

    it("is of PDF 1.6") { expect(@pdf.version).to eq("1.6") }

    it "is made for one condition of printing, whose profile it carries" do
      intent = @pdf.get(@pdf.get(@pdf.catalogue["/OutputIntents"]).first)
      expect(intent["/S"]).to eq("/GTS_PDFX")
      expect(@pdf.get(intent["/DestOutputProfile"])["/N"]).to eq(4)
      expect(TileLoom::Artwork::IccProfile.shipped("coated").bytes[12, 4]).to eq("prtr")
    end

    it "says its version, its dates and that nothing is trapped" do
      info = @pdf.get(@pdf.trailer["/Info"])
      expect(info["/Trapped"]).to eq("/False")
      expect(info.keys).to include("/CreationDate", "/ModDate", "/Title")
      expect(@xmp.at_xpath("//GTS_PDFXVersion").text).to eq("PDF/X-4")
      expect(%w[DocumentID VersionID RenditionClass MetadataDate].map { |name| @xmp.at_xpath("//#{name}") }).to all(
        be_truthy
      )
    end

    it "says of each page how it is cut, within the medium" do
      expect(@pdf.pages).to all(include("/TrimBox"))
      expect(@pdf.pages.map { |page| [page["/TrimBox"], page["/MediaBox"]] }).to all(
        satisfy { |trim, media| trim == media }
      )
    end

    it("has no annotations on the page") { expect(annotations).to be_empty }

    it "has nothing in colours of the screen" do
      expect(self.class.operators(@path) - %w[k K scn SCN cs CS]).to be_empty
    end

    # The file carries the true values: ink by name with what stands for it, overprint in mode 1, black text as black.
    it "carries inks by their names, their shares, and overprint" do
      spot =
        @pdf.all.size &&
        Open3.capture2("qpdf", "--qdf", @path, "-").first.b[%r{/Separation\s+/Moss#20red\s+/DeviceCMYK}]
      expect(spot).not_to be_nil
      text = Open3.capture2("qpdf", "--qdf", "--object-streams=disable", @path, "-").first.b
      expect(text).to match(/^0\.2 0\.5 0\.8 0\.1 K$/)
      expect(text).to match(/^0 0 0 1 k$/)
      states = @pdf.of_type("/ExtGState")
      expect(states.select { |state| state["/OP"] }).not_to be_empty
      expect(states.select { |state| state["/OP"] }.map { |state| state["/OPM"] }.uniq).to eq([1])
    end

    it "needs a date, and says so where the book has none" do
      press =
        press_of(
          {"sheets" => "1", "form" => {"kind" => "pdf_book", "pdf" => {"standard" => "pdf_x_4"}}},
          settings: demo_settings.except("date")
        )
      expect(TileLoom::Output::Plan.new(press).notices).to include(%r{no date, which PDF/X-4 asks for})
    end
  end
end
